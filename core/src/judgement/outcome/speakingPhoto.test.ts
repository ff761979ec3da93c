import { speakingPhoto } from './index.ts';

const photo = (state: 'wet' | 'dry', measurement: object | null = null) => ({ state, measurement });

it('a measured photo speaks before one that was not measured, dry or not', () => {
  const [measured, dry] = [photo('wet', {}), photo('dry')];
  expect(speakingPhoto([measured, dry])).toBe(measured);
});

it('a dry one before a wet one, and the newest of those', () => {
  const [old, dry, wet] = [photo('dry', {}), photo('dry', {}), photo('wet', {})];
  expect(speakingPhoto([old, dry, wet])).toBe(dry);
  expect(speakingPhoto([photo('dry'), wet, photo('wet')])).toBe(wet);
  expect(speakingPhoto([photo('wet'), photo('dry')])?.state).toBe('dry');
});

it('without a photo nothing speaks', () => expect(speakingPhoto([])).toBeUndefined());
