export interface Measured {
  readonly name: string;
  readonly medianMs: number;
  readonly bestMs: number;
  readonly rounds: number;
}

/** Runs some work again and again for about a second, after a warm-up, and tells its median and best time. */
export async function measure(name: string, work: () => unknown, budgetMs = 1000): Promise<Measured> {
  await work();
  const times: number[] = [];
  const startedAt = performance.now();
  while (times.length < 3 || performance.now() - startedAt < budgetMs) {
    const before = performance.now();
    await work();
    times.push(performance.now() - before);
  }
  times.sort((a, b) => a - b);
  return {
    name,
    medianMs: times[Math.floor(times.length / 2)] ?? 0,
    bestMs: times[0] ?? 0,
    rounds: times.length,
  };
}

/** The measurements as a table, the last column in terms of the first row. */
export function table(rows: readonly Measured[]): string {
  const unit = rows[0]?.medianMs ?? 1;
  const width = Math.max(...rows.map((row) => row.name.length));
  const line = (row: Measured) =>
    [
      row.name.padEnd(width),
      `${row.medianMs.toPrecision(3)} ms`.padStart(12),
      `${row.bestMs.toPrecision(3)} ms`.padStart(12),
      `${(row.medianMs / unit).toPrecision(3)} x`.padStart(12),
    ].join('  ');
  const head = ['what'.padEnd(width), ...['median', 'best', 'ratio'].map((each) => each.padStart(12))].join(
    '  ',
  );
  return [head, ...rows.map(line)].join('\n');
}
