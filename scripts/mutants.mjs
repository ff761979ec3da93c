/**
 * `npm run mutants [-- room ...] [--most N]`: changes one number, comparison or sign of core at a time and runs the
 * tests that have a say about it. A mutant that no test notices is told with its line. Exit code 1 below 85 %.
 */
import { fork } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { ensureInstalled, ROOT } from './bootstrap.mjs';

const WANTED_SHARE = 0.85;
const MOST_MS = 20_000;
/** Jest keeps something of every run: a process is replaced after so many. */
const RUNS_OF_A_PROCESS = 60;

ensureInstalled();
process.chdir(ROOT);
const require = createRequire(import.meta.url);
const { mutationsOf } = require('../test/mutants/mutations.cjs');
const { ROOMS, idOf, isMutated } = require('../test/mutants/rooms.cjs');

const given = process.argv.slice(2);
const mostAt = given.indexOf('--most');
const most = mostAt >= 0 ? Number(given[mostAt + 1]) : Infinity;
const asked = given.filter((each, at) => !each.startsWith('--') && (mostAt < 0 || at !== mostAt + 1));
const rooms = Object.keys(ROOMS).filter((room) => asked.length === 0 || asked.includes(room));

/** Every mutant of a room; of more than `most`, as many spread evenly over it. */
function mutantsOf(room) {
  const folder = join(ROOT, 'core/src', room);
  const all = readdirSync(folder)
    .map((name) => join(folder, name))
    .filter((path) => path.endsWith('.ts') && isMutated(path))
    .flatMap((path) =>
      mutationsOf(readFileSync(path, 'utf8')).map((mutation, index) => ({
        ...mutation,
        room,
        file: idOf(path),
        id: `${idOf(path)}:${index}`,
      })),
    );
  if (all.length <= most) return all;
  return Array.from({ length: most }, (_, at) => all[Math.floor((at * all.length) / most)]);
}

/** Before anything is changed every room's tests must pass; else every mutant would seem to be noticed. */
const untouched = rooms.map((room) => ({ room, id: 'none', isUntouched: true }));
const queue = [...untouched, ...rooms.flatMap(mutantsOf)];
const outcome = new Map(rooms.map((room) => [room, { killed: 0, tried: 0 }]));

function tell({ room, file, line, was, becomes }, survived) {
  const of = outcome.get(room);
  of.tried += 1;
  if (!survived) of.killed += 1;
  else
    console.log(
      `survived  ${file}:${line}  ${was.slice(0, 60)}  ->  ${becomes.slice(0, 60)}`.replaceAll('\n', ' '),
    );
}

/** Takes mutants from the queue until it is empty; a process that hangs is replaced, and its mutant counts as killed. */
async function work() {
  while (queue.length > 0) {
    const child = fork(join(ROOT, 'test/mutants/worker.cjs'), {
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    });
    await new Promise((ready) => child.once('message', ready));
    for (let run = 0; run < RUNS_OF_A_PROCESS && queue.length > 0; run += 1) {
      const mutant = queue.shift();
      const answer = await new Promise((done) => {
        const late = setTimeout(() => done(undefined), MOST_MS);
        child.once('exit', () => done(undefined));
        child.once('message', (said) => {
          clearTimeout(late);
          child.removeAllListeners('exit');
          done(said);
        });
        child.send({ mutant: mutant.id, tests: ROOMS[mutant.room] });
      });
      if (!mutant.isUntouched) tell(mutant, answer?.survived ?? false);
      else if (!answer?.survived) throw new Error(`The tests of ${mutant.room} do not pass as they are.`);
      if (answer === undefined) break;
    }
    child.kill('SIGKILL');
  }
}

await Promise.all(Array.from({ length: availableParallelism() }, work));
let [killed, tried] = [0, 0];
for (const [room, of] of outcome) {
  console.log(`${room}: ${of.killed} of ${of.tried} noticed, ${((100 * of.killed) / of.tried).toFixed(1)} %`);
  killed += of.killed;
  tried += of.tried;
}
console.log(`Mutants: ${killed} of ${tried} noticed, ${((100 * killed) / tried).toFixed(1)} %`);
process.exitCode = killed / tried < WANTED_SHARE ? 1 : 0;
