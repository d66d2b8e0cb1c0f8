/** Labels of places in a row, with those that follow each other told by the first and the last: 15 to 22, 23R, Z1 1 to Z1 40. */
export function listOf(labels: readonly string[]): string {
  const runs: { first: string; last: string; count: number }[] = [];
  for (const label of labels) {
    const run = runs.at(-1);
    if (run && follows(run.last, label)) {
      run.last = label;
      run.count++;
    } else runs.push({ first: label, last: label, count: 1 });
  }
  return runs
    .map(({ first, last, count }) => (count === 1 ? first : `${first}${count === 2 ? ', ' : ' to '}${last}`))
    .join(', ');
}

const PARTS = /^(.*?)(\d+)(\D*)$/;
/** Whether a label is the next one: the same letters before and after, and the next number. */
function follows(before: string, label: string): boolean {
  const [, headBefore, numberBefore, tailBefore] = PARTS.exec(before) ?? [];
  const [, head, number, tail] = PARTS.exec(label) ?? [];
  return (
    number !== undefined &&
    head === headBefore &&
    tail === tailBefore &&
    Number(number) === Number(numberBefore) + 1
  );
}

/** How many there are of something, in the singular where it is one. */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`;
}
