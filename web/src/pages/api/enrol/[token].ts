import { randomUUID } from 'node:crypto';
import { UnitSchema } from '@umbrex/core/model';
import { readNumbers } from '@umbrex/core/roster';
import { countAttempt, LINK_BY_ADDRESS } from '@/server/auth/limits';
import { openEndpoint } from '@/server/endpoint';
import { EnrolmentSchema } from '@/server/enrol';
import { NotHere } from '@/server/problem';
import { useLink } from '@/server/repositories/links';
import { addUnit } from '@/server/repositories/units';

/**
 * POST what a holder says of their own set, with an enrolment link and no account: 201. The device waits for a coordinator's
 * word. 400, 404 a link that is used or too old, 429.
 */
export const POST = openEndpoint(
  EnrolmentSchema,
  async ({ db, write, params, body, context }) => {
    await countAttempt(db, `link ${context.clientAddress}`, LINK_BY_ADDRESS);
    return write(async (trx) => {
      const link = await useLink(trx, params.token ?? '');
      if (link?.kind !== 'enrol') throw new NotHere();
      const { keeps, firmware, ...said } = body;
      const unit = UnitSchema.parse({
        ...said,
        id: randomUUID(),
        holder: link.personId ? '' : link.name,
        personId: link.personId,
        firmware: firmware || 'unknown',
        keeps: readNumbers(keeps),
        confirmed: false,
        note: keeps ? `keeps, as they wrote: ${keeps}` : '',
      });
      await addUnit(trx, link.workspaceId, unit);
      return { nickname: unit.nickname };
    });
  },
  { status: 201 },
);
