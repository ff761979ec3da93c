import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { runBench, runLine } from './bench.ts';

const LINES = '--lines';
const args = process.argv.slice(2);

if (args.includes(LINES)) {
  const words = args.filter((word) => word !== LINES);
  for await (const line of createInterface({ input: process.stdin })) {
    if (line.trim() !== '') process.stdout.write(`${JSON.stringify(await runLine(words, line))}\n`);
  }
} else {
  const { exitCode, document } = await runBench(args, () => readFileSync(0, 'utf8'));
  const stream = exitCode === 0 ? process.stdout : process.stderr;
  stream.write(`${JSON.stringify(document)}\n`);
  process.exitCode = exitCode;
}
