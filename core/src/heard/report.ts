import type { Item } from './items';
import type { Report } from './words';

type Said = Item & { readonly is: 'report' };
/** What all that is said of how a call came amounts to; of a second number that may be of two scales, both readings. */
type ReportSaid =
  | { readonly is: 'report'; readonly report: Report }
  | { readonly is: 'nothing' }
  | {
      readonly is: 'asks';
      readonly code: 'heard-several-reports' | 'heard-contradicts';
      readonly about: string;
    }
  | { readonly is: 'scale'; readonly item: Said; readonly offers: readonly string[] };

/** Puts together what a line says of how a call came. @param byRelation whether it was heard by what joins the two; `null` where that does not say it */
export function reportOf(reports: readonly Said[], byRelation: boolean | null): ReportSaid {
  const all = reports.map(({ report }) => report);
  const about = reports.map(({ text }) => text).join(' ');
  const readabilities = all.flatMap(({ readability }) => readability ?? []);
  const strengths = new Set(
    reports.flatMap(({ report, strengths: several = [] }) => report.strength ?? several),
  );
  if (readabilities.length > 1) return { is: 'asks', code: 'heard-several-reports', about };
  const doubtful = reports.find(({ strengths: several = [] }) => several.length > 1);
  if (doubtful) {
    const offers = (doubtful.strengths ?? []).map(
      (strength) => `${doubtful.report.readability} ${strength.replace('-', ' ')}`,
    );
    return { is: 'scale', item: doubtful, offers };
  }
  const heards = new Set([...all.map(({ heard }) => heard), ...(byRelation === null ? [] : [byRelation])]);
  if (heards.size > 1 || strengths.size > 1) return { is: 'asks', code: 'heard-contradicts', about };
  const [heard] = heards;
  if (heard === undefined) return { is: 'nothing' };
  const [[strength], [readability]] = [[...strengths], readabilities];
  const report = { heard, ...(readability !== undefined && { readability }), ...(strength && { strength }) };
  return { is: 'report', report };
}
