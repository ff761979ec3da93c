/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import DegreeMark from './DegreeMark.vue';

/** How thick the lozenge is in its middle, px. */
function thickness(degree: number | null): number {
  const path = mount(DegreeMark, { props: { label: 'cells', degree } })
    .get('path')
    .attributes('d')!;
  const ys = [...path.matchAll(/[ML]([\d.]+) ([\d.]+)/g)].map(([, , y]) => Number(y));
  return Math.max(...ys) - Math.min(...ys);
}

describe('the mark of an outcome', () => {
  it('thickens from 2 to 10 px with how much there is of it', () => {
    expect([0, 1, 2, 3, 4].map(thickness)).toEqual([2, 4, 6, 8, 10]);
  });

  it('says in a word what it shows, and is in outline where nothing was judged', () => {
    const shown = mount(DegreeMark, { props: { label: 'mud', degree: null } });
    expect(shown.text()).toContain('not judged');
    expect(shown.get('path').classes()).toEqual(['unknown']);
  });
});
