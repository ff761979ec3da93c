import { meanColor } from './colorUnder.ts';
import { drawLens, LENS_PX, LENS_ZOOM } from './magnifier.ts';

describe('the color under a place', () => {
  it('is the mean of the pixels, whatever their alpha', () => {
    expect(meanColor([10, 20, 30, 255, 20, 40, 50, 0])).toBe('#0f1e28');
  });

  it('keeps its leading zeros', () => {
    expect(meanColor([0, 1, 255, 255])).toBe('#0001ff');
  });
});

it('the magnifier shows the place in its middle, enlarged, under cross hairs', () => {
  const drawn: unknown[][] = [];
  const lines: number[][] = [];
  const pen = {
    fillRect: () => undefined,
    drawImage: (...given: unknown[]) => drawn.push(given.slice(1)),
    beginPath: () => undefined,
    moveTo: (...at: number[]) => lines.push(at),
    lineTo: (...at: number[]) => lines.push(at),
    stroke: () => undefined,
  };
  drawLens(pen as never, {} as CanvasImageSource, [100, 50]);
  const [x, y, width, height, ...on] = drawn[0] as number[];
  expect([x! + width! / 2, y! + height! / 2]).toEqual([100, 50]);
  expect(LENS_PX / width!).toBe(LENS_ZOOM);
  expect(on).toEqual([0, 0, LENS_PX, LENS_PX]);
  expect(lines).toContainEqual([LENS_PX / 2, LENS_PX]);
});
