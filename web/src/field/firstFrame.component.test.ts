/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { defineComponent, h } from 'vue';
import { useFirstRows } from './firstFrame.ts';

const List = defineComponent({
  props: { count: { type: Number, required: true } },
  setup(props) {
    const shown = useFirstRows(() => Array.from({ length: props.count }, (_, index) => index));
    return () =>
      h(
        'ul',
        shown.value.map((row) => h('li', row)),
      );
  },
});
const frame = () =>
  new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(drawn, 5))));

it('a long list begins with a screenful, and is whole a frame later', async () => {
  const list = mount(List, { props: { count: 60 } });
  expect(list.findAll('li')).toHaveLength(10);
  await frame();
  expect(list.findAll('li')).toHaveLength(60);
  await list.setProps({ count: 70 });
  expect(list.findAll('li')).toHaveLength(70);
});

it('a short one is whole at once', () => {
  expect(mount(List, { props: { count: 3 } }).findAll('li')).toHaveLength(3);
});
