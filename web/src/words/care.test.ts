import { CAUTIONS } from '@icy-ribbon/core/paint/caution';
import { CARE_CHECKS, CLOSING_STEPS, DECISIONS, FINE_WORKS, RISK_CODES } from '@icy-ribbon/core/piece/care';
import {
  CHECK_LABELS,
  CLOSING_LABELS,
  DECISION_LABELS,
  lifeWords,
  riskSentence,
  sideWords,
  spanWords,
  untilWords,
  workDateWords,
} from './care.ts';
import { FINE_WORK } from './fineWork.ts';
import { measureWords } from './measure.ts';

const NOW = new Date('2026-03-20T12:00:00').getTime();
const HOUR = 3_600_000;
const DAY = 24 * HOUR;

describe('days and waits in words', () => {
  it('a range names its days once', () => {
    expect(spanWords({ fromMs: NOW, toMs: NOW + 2 * HOUR })).toBe('on Fri 20 Mar');
    expect(spanWords({ fromMs: NOW, toMs: NOW + 2 * DAY })).toBe('from Fri 20 Mar to Sun 22 Mar');
  });

  it.each([
    [-1, 'now'],
    [0.5, 'in 30\u00a0min'],
    [5, 'in 5\u00a0h'],
    [47, 'in 47\u00a0h'],
    [72, 'in 3\u00a0days'],
  ])('%d h from now is %s', (hours, words) => {
    expect(untilWords(NOW + hours * HOUR, NOW)).toBe(words);
  });

  it('what may have come already is said as maybe', () => {
    const when = { fromMs: NOW - HOUR, toMs: NOW + DAY };
    expect(lifeWords({ stage: 'skin', share: 0.2, next: { stage: 'touch-dry', when } }, NOW)).toBe(
      'skinned over, maybe touch-dry by now',
    );
    expect(lifeWords({ stage: 'finished', share: 1, next: null }, NOW)).toBe('finished');
  });

  it('a show is named', () => {
    const date = {
      ...{ key: '', kind: 'show', pieceId: '', name: '', day: null },
      when: { fromMs: 0, toMs: 0 },
    };
    expect(workDateWords({ ...date, note: 'Lichen and Brass' } as never)).toBe(
      'goes to the show "Lichen and Brass"',
    );
  });
});

it.each([
  [0, 'top'],
  [44, 'top right'],
  [90, 'right'],
  [181, 'bottom'],
  [270, 'left'],
  [359, 'top'],
  [-90, 'left'],
])('%d degrees from the top is %s', (deg, side) => {
  expect(sideWords(deg)).toBe(side);
});

describe('everything that can be chosen has words', () => {
  const sentences = [
    ...CARE_CHECKS.map((what) => CHECK_LABELS[what].label),
    ...DECISIONS.map((what) => DECISION_LABELS[what].does),
    ...RISK_CODES.map((code) => riskSentence({ code, chance: 0.6 })),
    ...CLOSING_STEPS.map((step) => CLOSING_LABELS[step]),
  ];

  it('begins with a capital, and without a mark of excitement', () => {
    for (const sentence of sentences) {
      expect(sentence).toMatch(/^[A-Z]/);
      expect(sentence).not.toContain('!');
    }
  });
});

describe('lines, inlays and crystals step by step', () => {
  const steps = FINE_WORKS.flatMap((what) => FINE_WORK[what].steps.map((step) => ({ what, ...step })));
  const say = (length: 'cm' | 'in') =>
    measureWords({ mass: 'g', volume: 'ml', length, temperature: 'C' } as never);

  it('carry the usual caution at the step where it matters', () => {
    for (const { step, caution } of steps) {
      if (/resin by the kit|enough resin|resin over/.test(step)) expect(caution).toBe(CAUTIONS.resin);
      if (/spirits|alcohol ink/.test(step)) expect(caution).toBe(CAUTIONS.spirits);
      if (/Shrink/.test(step)) expect(caution).toBe(CAUTIONS.heat);
    }
  });

  it('say lengths in the units that are chosen, and are kept under the same words in both', () => {
    const [shrink] = FINE_WORK.inlay.steps;
    expect(shrink?.said?.(say('cm'))).toMatch(/15\scm to 20\scm off and never nearer than 13\scm/);
    expect(shrink?.said?.(say('in'))).toMatch(/5\.9\sin to 7\.9\sin/);
    expect(new Set(steps.map(({ what, step }) => `${what} ${step}`)).size).toBe(steps.length);
  });

  it('a metal line is sealed first and its tape pulled while the paint is soft (common practice)', () => {
    const said = FINE_WORK['metal-line'].steps.map(({ step }) => step);
    expect(said[0]).toMatch(/Seal the face/);
    expect(said.findIndex((step) => /Pull each tape/.test(step))).toBe(
      said.findIndex((step) => /Paint the line/.test(step)) + 1,
    );
  });
});
