/** Labels of places in a row, with those that follow each other told by the first and the last: 15 to 22, R1, R3. */
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

const PARTS = /^(.*?)(\d+)$/;
function follows(before: string, label: string): boolean {
  const [, wordBefore, numberBefore] = PARTS.exec(before) ?? [];
  const [, word, number] = PARTS.exec(label) ?? [];
  return number !== undefined && word === wordBefore && Number(number) === Number(numberBefore) + 1;
}
