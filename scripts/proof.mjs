/**
 * `npm run proof`: the long ring. Every simulation in full, the browser tests that take long, requests without sense,
 * kills in mid-write. What came of it is kept in docs/proof.md.
 */
import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, ROOT } from './bootstrap.mjs';
import { browserTests, clearReports, close, unitTests, withDemo } from './rings.mjs';

/** Tools of `scripts/` that try the product out; each fails by its exit code, and prints its seed and figures. */
const TOOLS = ['fuzz', 'torture', 'load'];
const KEPT_LINES = 25;

/** Runs a tool, shows what it says and keeps the end of it. */
function runTool(name) {
  return new Promise((done) => {
    const child = spawn(process.execPath, [join(ROOT, 'scripts', `${name}.mjs`)], { cwd: ROOT });
    const lines = [];
    const hear = (part) => {
      process.stdout.write(part);
      lines.push(
        ...part
          .toString()
          .split('\n')
          .filter((line) => line !== '' && !line.startsWith('npm ')),
      );
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('close', (code) =>
      done({ passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1, said: lines.slice(-KEPT_LINES) }),
    );
  });
}

async function timed(name, work) {
  const startedAt = performance.now();
  const result = await work();
  return { name, seconds: Math.round((performance.now() - startedAt) / 1000), ...result };
}

ensureInstalled();
const chromium = ensureChromium();
clearReports();
ensureBuilt();
const parts = await withDemo(async () => [
  await timed('unit tests, simulations in full', () => unitTests('proof')),
  await timed('browser tests that take long', () => browserTests('proof', chromium)),
]);
for (const name of TOOLS) parts.push(await timed(`npm run ${name}`, () => runTool(name)));

const rows = parts.map(
  ({ name, seconds, passed, failed }) => `| ${name} | ${passed} | ${failed} | ${seconds} |`,
);
const said = parts.flatMap(({ name, said: lines }) =>
  lines ? [`\n## ${name}\n`, '```', ...lines, '```'] : [],
);
writeFileSync(
  join(ROOT, 'docs/proof.md'),
  `# The long ring, last run\n
Written by \`npm run proof\` on ${new Date().toISOString().slice(0, 10)}.\n
| what | passed | failed | seconds |
| --- | ---: | ---: | ---: |
${rows.join('\n')}
${said.join('\n')}
`,
);
close(parts);
