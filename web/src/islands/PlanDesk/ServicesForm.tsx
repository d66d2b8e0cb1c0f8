import { servicesOf } from '@umbrex/core/facts';
import type { PlanHead } from '@umbrex/core/model';
import { LabelledCheck } from '../../ui/LabelledCheck';

interface Props {
  country: PlanHead['country'];
  chosen: PlanHead['services'];
  change: (services: PlanHead['services']) => void;
}

/** Which services the group works with; none ticked means all of the country. */
export function ServicesForm({ country, chosen, change }: Props) {
  const services = servicesOf(country);
  if (services.length === 0) return null;
  return (
    <details>
      <summary className="muted cursor-pointer text-small">
        Services: {chosen.length === 0 ? 'all of the country' : `${chosen.length} chosen`}
      </summary>
      <fieldset className="mt-1 grid grid-cols-2 gap-1 text-plain">
        <legend className="muted text-small">
          Channels of others become a finding. None ticked means all.
        </legend>
        {services.map(({ id, title }) => (
          <LabelledCheck
            key={id}
            className=""
            checked={chosen.some((other) => other === id)}
            set={(yes) =>
              change(
                yes
                  ? [...chosen, id as PlanHead['services'][number]]
                  : chosen.filter((other) => other !== id),
              )
            }
          >
            {title}
          </LabelledCheck>
        ))}
      </fieldset>
    </details>
  );
}
