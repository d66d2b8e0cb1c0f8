const MOST = 500;

/** The memory numbers that people's words name, ascending: `40-44, 60` gives 40 to 44 and 60. At most 500 of them. */
export function readNumbers(text: string): number[] {
  const found = new Set<number>();
  for (const match of text.matchAll(/(\d{1,5})(?:\s*(?:-|–|to)\s*(\d{1,5}))?/g)) {
    const from = Number(match[1]);
    const to = Math.min(Number(match[2] ?? match[1]), from + MOST);
    for (let n = from; n <= to && found.size < MOST; n++) found.add(n);
  }
  return [...found].sort((a, b) => a - b);
}

/** Writes numbers short: 40 to 44 and 60 as `40-44, 60`. */
export function numbersText(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const n of [...numbers].sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && last[1] === n - 1) last[1] = n;
    else runs.push([n, n]);
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}-${to}`)).join(', ');
}

/** The numbers of a cell that names nothing else; `undefined` for other words, a range that runs down, or more than `most` of them. */
export function numbersOfCell(cell: string, most: number): number[] | undefined {
  const found = new Set<number>();
  for (const part of cell.split(/[,;]/).map((text) => text.trim())) {
    if (part === '') continue;
    const [, first, last] = /^(\d{1,5})(?:\s*(?:-|–|to)\s*(\d{1,5}))?$/.exec(part) ?? [];
    const [from, to] = [Number(first), Number(last ?? first)];
    if (first === undefined || to < from || to - from >= most) return undefined;
    for (let n = from; n <= to; n++) found.add(n);
    if (found.size > most) return undefined;
  }
  return [...found].sort((a, b) => a - b);
}
