/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { defineComponent, h, nextTick, ref } from 'vue';
import { useOptionNames } from './optionNames.ts';

const options = ref([{ id: '4f0c', label: 'Slate ink' }]);
const Page = defineComponent({
  setup() {
    useOptionNames();
    return () =>
      h(
        'div',
        { role: 'listbox' },
        options.value.map(({ id, label }) => h('div', { role: 'option', 'aria-label': label }, [id])),
      );
  },
});

it('an option of a list is its words, not its id, also when the list changes', async () => {
  const page = mount(Page, { attachTo: document.body });
  const settled = async () => {
    await nextTick();
    await new Promise((resolve) => setTimeout(resolve));
  };
  options.value = [...options.value, { id: '9a1b', label: 'Rust' }];
  await settled();
  expect(page.findAll('[role=option]').map((each) => each.text())).toEqual(['Slate ink', 'Rust']);
  options.value = [
    { id: '77', label: 'Oyster' },
    { id: '9a1b', label: 'Rust' },
  ];
  await settled();
  expect(page.findAll('[role=option]').map((each) => each.text())).toEqual(['Oyster', 'Rust']);
  page.unmount();
});
