import { Fragment } from 'react';

/** The names of what is due, each leading to where it is done. */
export function DueItems({
  items,
}: {
  items: readonly { id: string; name: string; on?: string; href: string }[];
}) {
  return items.map(({ id, name, on, href }, i) => (
    <Fragment key={`${id} ${on}`}>
      {i > 0 && ', '}
      <a className="link link-hover" href={href}>
        {name}
      </a>
      {on && on !== 'unknown' && <span className="muted"> {on}</span>}
    </Fragment>
  ));
}
