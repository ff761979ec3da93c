import { compiledFilmFromFile } from '../../../testing/compiledFilm.ts';
import { randomScene } from '../../../testing/randomScene.ts';
import { ring } from '../../../testing/ring.ts';
import { seededRandom } from '../../base/random/index.ts';
import { volumeM3 } from '../../flow/solver/index.ts';
import { rehearseWhole } from './index.ts';

/**
 * Random plans on the rehearsal's three grids, from the first pass to the last. The short ring finds a break that comes in more
 * than half of all plans; what breaks one in a thousand is found by the long one, and by `flow/solver/sound.test.ts`.
 */
const ROUNDS = ring<readonly (readonly [cells: number, plans: number])[]>(
  [[32, 3]],
  [
    [60, 150],
    [112, 44],
    [192, 6],
  ],
);

it.each(ROUNDS)(
  'on a grid of %i cells no rehearsal of %i random plans breaks or loses paint',
  (cells, plans) => {
    for (let seed = 0; seed < plans; seed += 1) {
      const { scene, name } = randomScene(seededRandom(1000 * cells + seed));
      const laid = scene.lays.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
      const { fields } = rehearseWhole(scene, cells, compiledFilmFromFile).film.kernel;
      const left = fields.thickness.reduce((sum, field) => sum + volumeM3(fields.grid, field), 0);
      const kept = 1e6 * (left + fields.lost.reduce((sum, each) => sum + each, 0));
      expect([name, kept / laid]).toEqual([name, expect.closeTo(1, 6)]);
      const least = Math.min(...fields.thickness.map((field) => field.reduce((a, b) => Math.min(a, b))));
      expect([name, least >= 0]).toEqual([name, true]);
    }
  },
  3_600_000,
);
