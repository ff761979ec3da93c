/** @jest-environment jsdom */
import { usualPass, type PlanPath } from '@icy-ribbon/core/piece/plan';
import { mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import PassFields from './PassFields.vue';
import PathFields from './PathFields.vue';
import StackFields from './StackFields.vue';

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
});

/** Types into the field with this label and leaves it. */
async function type(wrapper: VueWrapper, label: string, text: string) {
  const row = wrapper.findAll('label').find((each) => each.text().startsWith(label));
  const input = row
    ? wrapper.get(`[id="${row.attributes('for')}"]`)
    : wrapper.get(`input[aria-label="${label}"]`);
  await input.setValue(text);
  await input.trigger('blur');
}

describe('a pass in numbers', () => {
  const pass = usualPass('p', 'hair-dryer', { x: 100, y: 200 }, 90, 4);
  const fields = () => mount(PassFields, { props: { item: pass } });

  it('is changed by what is typed, in the units that are chosen', async () => {
    const shown = fields();
    await type(shown, 'Seconds', '7,5');
    await type(shown, 'Distance', '20');
    await type(shown, 'From the left', '12');
    expect(shown.emitted('change')).toEqual([
      [{ seconds: 7.5 }],
      [{ distanceMm: 200 }],
      [{ at: { x: 120, y: 200 } }],
    ]);
  });

  it('stays inside what can be, and does not change by being looked at', async () => {
    const shown = fields();
    await type(shown, 'Slant', '200');
    await type(shown, 'Seconds', '4');
    expect(shown.emitted('change')).toEqual([[{ slantDeg: 90 }]]);
  });

  it('goes earlier and later', async () => {
    const shown = fields();
    const buttons = shown.findAll('button').filter((each) => /Earlier|Later/.test(each.text()));
    for (const each of buttons) await each.trigger('click');
    expect(shown.emitted('move')).toEqual([[-1], [1]]);
  });
});

describe('a ribbon in numbers', () => {
  const path: PlanPath = {
    id: 'r',
    kind: 'ribbon',
    start: { x: 0, y: 0 },
    control: { x: 50, y: 0 },
    end: { x: 100, y: 0 },
    layers: [],
  };

  it('bends through the place that is typed', async () => {
    const shown = mount(PathFields, { props: { item: path } });
    await type(shown, 'Through, from the top', '4');
    await type(shown, 'To, from the left', '15');
    expect(shown.emitted('change')).toEqual([[{ control: { x: 50, y: 80 } }], [{ end: { x: 150, y: 0 } }]]);
  });
});

it('a flower is as wide as it is typed, from half a centimeter to five meters', async () => {
  const stack = { id: 's', at: { x: 100, y: 100 }, footprintMm: 60, layers: [] };
  const shown = mount(StackFields, { props: { item: stack } });
  await type(shown, 'Flower', '21');
  await type(shown, 'Flower', '0.1');
  expect(shown.emitted('change')).toEqual([[{ footprintMm: 210 }], [{ footprintMm: 5 }]]);
});
