/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import ColorsToFind from './ColorsToFind.vue';
import CornerFrame from '#drawing/CornerFrame.vue';
import type { PhotoSetup } from './photoInput.ts';
import PourMark from './PourMark.vue';

beforeEach(() => setActivePinia(createPinia()));

const color = (name: string, hex: string) => ({ name, hex, cupId: name });
const setup = (): PhotoSetup => ({
  corners: [
    [10, 10],
    [90, 10],
    [90, 70],
    [10, 70],
  ],
  palette: [color('white', '#f0eee8'), color('rust', '#9c4a2c')],
  base: 'white',
  activator: null,
  grayPatchMm: null,
});

describe('the colors that are looked for', () => {
  const list = (picking: number | 'card' | null = null) =>
    mount(ColorsToFind, { props: { modelValue: setup(), picking } });
  const press = (wrapper: ReturnType<typeof list>, words: string) =>
    wrapper
      .findAll('button')
      .find((each) => each.text() === words)!
      .trigger('click');

  it('one that is added waits to be clicked in the photo', async () => {
    const shown = list();
    await press(shown, 'Add a color');
    const next = shown.emitted<[PhotoSetup]>('update:modelValue')![0]![0];
    expect(next.palette).toHaveLength(3);
    expect(shown.emitted('update:picking')).toEqual([[2]]);
  });

  it('one that is not looked for goes, and nothing waits for a click any more', async () => {
    const shown = list(1);
    await shown.get('[aria-label="Do not look for rust"]').trigger('click');
    const next = shown.emitted<[PhotoSetup]>('update:modelValue')![0]![0];
    expect(next.palette.map(({ name }) => name)).toEqual(['white']);
    expect(shown.emitted('update:picking')).toEqual([[null]]);
  });

  it('the gray card is shown by a click, and that can be left again', async () => {
    const shown = list();
    await press(shown, 'Show it');
    expect(shown.emitted('update:picking')).toEqual([['card']]);
    await shown.setProps({ picking: 'card' });
    await press(shown, 'Click it in the photo');
    expect(shown.emitted('update:picking')!.at(-1)).toEqual([null]);
  });
});

describe('the corners on the photo', () => {
  const frame = () =>
    mount(CornerFrame, {
      props: {
        ...{ src: '/picture', alt: 'A picture', widthPx: 100, heightPx: 80 },
        card: null,
        picking: false,
        corners: setup().corners,
        chosen: 0,
      },
    });

  it('move by the arrow keys, ten pixels with Shift, and say where they are', async () => {
    const shown = frame();
    const corner = shown.findAll('button')[1]!;
    expect(corner.attributes('aria-label')).toMatch(/^Corner top right, 90 and 10 pixels/);
    await corner.trigger('keydown', { key: 'ArrowLeft' });
    await corner.trigger('keydown', { key: 'ArrowDown', shiftKey: true });
    const moved = shown.emitted<[[number, number][]]>('update:corners')!;
    expect(moved[0]![0][1]).toEqual([89, 10]);
    expect(moved.at(-1)![0][1]).toEqual([89, 20]);
    expect(shown.emitted('update:chosen')!.at(-1)).toEqual([1]);
  });

  it('are not there before they were found', async () => {
    const shown = frame();
    await shown.setProps({ corners: null });
    await nextTick();
    expect(shown.findAll('button')).toHaveLength(0);
    expect(shown.find('svg').exists()).toBe(false);
  });
});

it('pours that are compared differ by shape first', () => {
  const shapes = [0, 1, 2, 3].map((index) => mount(PourMark, { props: { index } }).classes().join(' '));
  expect(new Set(shapes).size).toBe(4);
});
