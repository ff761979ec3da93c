/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import LayingTools from './LayingTools.vue';
import OrderStrips from './OrderStrips.vue';

describe('what can be put down', () => {
  const tools = (modelValue: 'ribbon' | null) => mount(LayingTools, { props: { modelValue } });

  it('is taken in hand by a press, and laid away by another', async () => {
    const free = tools(null);
    await free.get('button[aria-label="Ribbon"]').trigger('click');
    expect(free.emitted('update:modelValue')).toEqual([['ribbon']]);
    const held = tools('ribbon');
    expect(held.get('button[aria-label="Ribbon"]').attributes('aria-pressed')).toBe('true');
    await held.get('button[aria-label="Ribbon"]').trigger('click');
    expect(held.emitted('update:modelValue')).toEqual([[null]]);
  });
});

describe('two orders of the same layers', () => {
  const layer = (id: string, colorHex: string) => ({ id, massG: 1, paint: { name: id, colorHex } }) as never;

  it('stand as strips of color over each other, and what moved is marked', () => {
    const shown = mount(OrderStrips, {
      props: {
        before: [layer('a', '#112233'), layer('b', '#445566'), layer('c', '#778899')],
        after: ['a', 'c', 'b'],
      },
    });
    const strips = shown.findAll('.strip').map((each) => each.attributes('aria-label'));
    expect(strips).toEqual(['a, b, c', 'a, c, b']);
    expect(shown.findAll('.moved').map((each) => each.attributes('title'))).toEqual(['c', 'b']);
  });
});
