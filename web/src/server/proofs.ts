import type { Finding } from '@umbrex/core/findings';
import type { Proof } from '@umbrex/core/procedure';
import type { Knex } from 'knex';
import { z } from 'zod';
import { Kept } from './kept';
import { log } from './log';

/** How many proofs are kept, here and in the database. */
const MOST = 400;

const FindingSchema = z
  .looseObject({ code: z.string(), severity: z.string() })
  .transform((f) => f as Finding);
const LinesSchema = z.array(z.string());
/** A proof as the database keeps it: JSON has no `undefined`. */
const KeptSchema = z.object({
  proven: z.boolean(),
  slowToo: z.boolean(),
  firstDifference: FindingSchema.nullable(),
  findings: z.array(FindingSchema),
  tried: z.number(),
  screens: z.array(LinesSchema),
  windowsMs: z.array(
    z
      .number()
      .nullable()
      .transform((ms) => ms ?? undefined),
  ),
  begins: LinesSchema,
  minutes: z.number(),
});

/**
 * Proofs by what was tried: an edit of the plan that leaves a sheet as it is needs none anew, and neither does a new start of the same build.
 * Another build proves everything again: what proves may be what was changed.
 */
export class Proofs {
  private readonly kept = new Kept<Proof>(MOST);
  private readonly unsaved = new Map<string, Proof>();
  private reading: Promise<void> | undefined;
  private db: Knex | undefined;

  /** @param build of the program; nothing is kept in the database where it has none */
  constructor(private readonly build: string) {}

  /** The proof of what a mark stands for; made where it is not known. */
  of(mark: string, make: () => Proof): Proof {
    return this.kept.of(mark, () => {
      const proof = make();
      if (this.db) this.keep(this.db, mark, proof);
      return proof;
    });
  }

  /** Reads what earlier starts of this build proved, once; a database that does not answer costs the time, and nothing else. */
  read(db: Knex): Promise<void> {
    if (this.build === '') return Promise.resolve();
    this.reading ??= this.take(db);
    return this.reading;
  }

  private async take(db: Knex): Promise<void> {
    this.db = db;
    try {
      const rows = await db('kept_proof')
        .where({ build: this.build })
        .orderBy('made_at', 'desc')
        .limit(MOST)
        .select('mark', 'proof');
      for (const { mark, proof } of rows.reverse()) {
        const read = KeptSchema.safeParse(proof);
        if (read.success) this.kept.of(mark, () => read.data);
        else log.error({ mark, error: read.error.message }, 'a kept proof cannot be read: it is made anew');
      }
    } catch (error) {
      this.reading = undefined;
      log.error({ error: String(error) }, 'kept proofs could not be read');
    }
  }

  /** Saves what was made, several at once, when the page that made it is through. */
  private keep(db: Knex, mark: string, proof: Proof): void {
    if (this.unsaved.size === 0) setTimeout(() => void this.save(db), 200).unref();
    this.unsaved.set(mark, proof);
  }

  private async save(db: Knex): Promise<void> {
    const rows = [...this.unsaved].map(([mark, proof]) => ({
      build: this.build,
      mark,
      proof: JSON.stringify(proof),
    }));
    this.unsaved.clear();
    try {
      await db('kept_proof').insert(rows).onConflict(['build', 'mark']).merge(['proof', 'made_at']);
      await db.raw(
        `delete from kept_proof
           where (build <> :build and made_at < now() - interval '7 days')
              or (build = :build and mark not in
                   (select mark from kept_proof where build = :build order by made_at desc limit :most))`,
        { build: this.build, most: MOST },
      );
    } catch (error) {
      log.error({ error: String(error) }, 'proofs could not be kept');
    }
  }
}

declare const __BUILD_MARK__: string | undefined;

/** The proofs of this process. */
export const proofs = new Proofs(typeof __BUILD_MARK__ === 'string' ? __BUILD_MARK__ : '');
