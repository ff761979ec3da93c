import { findQuantity, type Influence } from '@icy-ribbon/core/judgement/compare';
import { beyondTheLine, influenceWords, silenceWords, testWords } from './difference.ts';

const METRIC = { mass: 'g', volume: 'ml', length: 'cm', temperature: 'C' } as const;
const cell = findQuantity('cellMm')!;
const influence = (key: string, changes: Partial<Influence> = {}): Influence => ({
  cause: findQuantity(key)!,
  alike: [],
  ...{ step: 2, change: 0.612, low: 0.2, high: 1.04 },
  ...changes,
});

it('what made the difference is said in words a person understands', () => {
  expect(influenceWords(influence('activatorShare'), cell, METRIC)).toBe(
    'With twice the activator share, cells came out about 0.61\u00a0mm larger (between 0.2\u00a0mm and 1\u00a0mm).',
  );
  const slower = influence('airSeconds', { step: 10, change: -0.06, low: -0.09, high: -0.01 });
  expect(influenceWords(slower, findQuantity('lacingShare')!, METRIC)).toBe(
    'With 10\u00a0s more air, the lacing came out about 6 points less (between 1 point and 9 points).',
  );
});

it('a range that holds nothing at all says how much it could be, not where it starts', () => {
  expect(influenceWords(influence('activatorShare', { low: -0.1, high: 1.04 }), cell, METRIC)).toBe(
    'With twice the activator share, cells came out about 0.61\u00a0mm larger (anything up to 1\u00a0mm fits these pours).',
  );
});

it('causes that cannot be told apart are named together', () => {
  const tied = influence('activatorShare', { alike: [findQuantity('activatorRatio')!] });
  expect(influenceWords(tied, cell, METRIC)).toMatch(
    /It always changed together with the thickness of the activator against the colors: which of them did it cannot be told\.$/,
  );
});

it('the next test says what to change, and why its answer is open', () => {
  const test = { cause: findQuantity('slantDeg')!, from: 25, to: 35, couldMatter: 0.6 };
  expect(testWords({ ...test, because: 'never-varied' }, METRIC)).toBe(
    'slant of the air 40\u00a0% steeper: from 25° to 35°. You never varied it, so nobody knows what it does.',
  );
  expect(testWords({ ...test, because: 'open' }, METRIC)).toMatch(/still open/);
});

it('a line and all causes together never contradict each other in silence', () => {
  const line = { isSure: true, slope: 1 };
  const silent = { kind: 'silent', n: 20, why: 'nothing-stands-out' } as const;
  const found = { kind: 'found', n: 20, looked: 8, influences: [influence('distanceMm')] } as const;
  const distance = findQuantity('distanceMm')!;
  expect(beyondTheLine(line, distance, found)).toBeUndefined();
  expect(beyondTheLine(line, distance, silent)).toMatch(/does not stand out/);
  expect(beyondTheLine({ ...line, isSure: false }, distance, found)).toMatch(/tells nothing/);
  expect(beyondTheLine({ isSure: true, slope: -1 }, distance, found)).toMatch(/other way/);
  expect(beyondTheLine({ ...line, isSure: false }, distance, silent)).toBeUndefined();
  expect(beyondTheLine(line, distance, { kind: 'silent', n: 5, why: 'too-few' })).toBeUndefined();
});

it('silence says why', () => {
  expect(silenceWords('too-few', 1)).toMatch(/^Only 1 pour has .* from 8 on/);
  expect(silenceWords('nothing-stands-out', 20)).toMatch(/20 pours .* beyond chance/);
});
