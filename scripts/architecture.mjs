/** `npm run architecture`: draws the doors of core, as the imports are, into docs/architecture.md. */
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, ROOT, toolPath } from './bootstrap.mjs';

const FILE = join(ROOT, 'docs/architecture.md');
const DRAWN = /(<!-- doors -->\n)[\s\S]*?(<!-- end of doors -->)/;

ensureInstalled();
const collapsed = ['--collapse', '^core/src/[^/]+/', '--include-only', '^core/src'];
const { stdout } = spawnSync(
  process.execPath,
  [
    toolPath('depcruise'),
    ...['--config', '.dependency-cruiser.cjs', '--output-type', 'json'],
    ...collapsed,
    'core/src',
  ],
  { cwd: ROOT, encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 },
);
const doorOf = (path) => path.split('/')[2];
const needs = new Map();
for (const { source, dependencies } of JSON.parse(stdout).modules) {
  needs.set(doorOf(source), new Set(dependencies.map(({ resolved }) => doorOf(resolved))));
}

/** Whether one door is needed by way of another that is needed. */
function isImplied(from, to, through = needs.get(from)) {
  return [...through].some(
    (between) => between !== to && (needs.get(between)?.has(to) || isImplied(between, to)),
  );
}

const rooms = (door) =>
  readdirSync(join(ROOT, 'core/src', door), { withFileTypes: true })
    .filter((each) => each.isDirectory())
    .map(({ name }) => name)
    .join(', ');
const boxes = [...needs.keys()].map((door) => `  ${door}["${door}<br/>${rooms(door)}"]`);
const arrows = [...needs].flatMap(([from, all]) =>
  [...all].filter((to) => to !== from && !isImplied(from, to)).map((to) => `  ${from} --> ${to}`),
);
const drawing = ['```mermaid', 'flowchart TD', ...boxes, ...arrows, '```', ''].join('\n');
writeFileSync(FILE, readFileSync(FILE, 'utf8').replace(DRAWN, `$1\n${drawing}\n$2`));
