import { paintedArea } from './index.ts';

it('a 30 x 40 cm canvas, 2 cm deep, has 1200 cm2 of face and 280 cm2 of sides', () => {
  expect(paintedArea({ shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 })).toEqual({
    faceCm2: 1200,
    sidesCm2: 280,
  });
});

it('a round of 30 cm has pi/4 d^2 of face and pi d of rim', () => {
  const { faceCm2, sidesCm2 } = paintedArea({ shape: 'round', widthMm: 300, heightMm: 300, sideDepthMm: 10 });
  expect(faceCm2).toBeCloseTo(706.858, 3);
  expect(sidesCm2).toBeCloseTo(94.248, 3);
});

it('names the length that cannot be', () => {
  const size = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 20 } as const;
  expect(() => paintedArea({ ...size, widthMm: 0 })).toThrow(expect.objectContaining({ field: 'widthMm' }));
  expect(() => paintedArea({ ...size, sideDepthMm: -1 })).toThrow(
    expect.objectContaining({ field: 'sideDepthMm' }),
  );
});
