import { readFileSync } from 'node:fs';
import { runBench } from './bench.ts';

const { exitCode, document } = await runBench(process.argv.slice(2), () => readFileSync(0, 'utf8'));
const stream = exitCode === 0 ? process.stdout : process.stderr;
stream.write(`${JSON.stringify(document)}\n`);
process.exitCode = exitCode;
