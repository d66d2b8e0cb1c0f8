// Changes that tell nothing by their very form: the types ask for something that is always there. Which of the others no test can notice is
// for somebody to read (docs/mutants.md).
const bare = (text) => text.replaceAll('?.', '.').replaceAll(/\s/g, '');

/** The form of a change that no test notices as long as what it guards is there; undefined for every other. */
export function formOf({ from, to }) {
  if (to === '["Stryker was here"]') return 'a default list that is never come to';
  if (from.includes('?.') && bare(from) === bare(to)) return '?. where there always is one';
  if (from.includes('??') && to.includes('&&') && !from.includes('&&')) return 'a default behind ??';
  if (from === '-1' && to === '+1') return 'the number that stands for none';
  return undefined;
}
