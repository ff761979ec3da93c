/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { useUnits } from '../store/units.ts';
import NumberField from './NumberField.vue';
import QuantityField from './QuantityField.vue';
import RecordDrawer from './RecordDrawer.vue';
import RowActions from './RowActions.vue';
import { useRecordDrawer } from './useRecordDrawer.ts';

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
  document.body.innerHTML = '';
});

describe('a number field', () => {
  const field = (props: object = {}) =>
    mount(NumberField, { props: { label: 'Weight', unit: 'g', modelValue: 12.5, ...props } });

  it('shows its number without trailing zeros, under its label, with its unit', () => {
    const one = field();
    expect(one.get('input').element.value).toBe('12.5');
    expect(one.text()).toMatch(/Weight/);
    expect(one.text()).toMatch(/g/);
  });

  it('reads a comma as the decimal mark', async () => {
    const one = field();
    await one.get('input').setValue('11,25');
    expect(one.emitted('update:modelValue')!.at(-1)).toEqual([11.25]);
    expect(one.find('[role="alert"]').exists()).toBe(false);
  });

  it('says what a number looks like, and keeps what was typed', async () => {
    const one = field();
    await one.get('input').setValue('twelve');
    expect(one.emitted('update:modelValue')!.at(-1)).toEqual([null]);
    expect(one.text()).toMatch(/Write a number, like 11.25 or 11,25/);
    expect(one.get('input').element.value).toBe('twelve');
    expect(one.get('input').attributes('aria-invalid')).toBe('true');
  });

  it('hands its number on when it is left, and by Enter', async () => {
    const one = field();
    await one.get('input').trigger('blur');
    await one.get('input').trigger('keydown', { key: 'Enter', keyCode: 13 });
    expect(one.emitted('commit')).toEqual([[12.5], [12.5]]);
  });

  it('stays as it was typed when the same number comes back', async () => {
    const one = field();
    await one.get('input').setValue('12,50');
    await one.setProps({ modelValue: 12.5 });
    expect(one.get('input').element.value).toBe('12,50');
    await one.setProps({ modelValue: 7 });
    expect(one.get('input').element.value).toBe('7');
  });

  it('without a row of its own it is named for those who do not see it', () => {
    expect(field({ bare: true }).get('input').attributes('aria-label')).toBe('Weight');
  });
});

describe('a field with a quantity', () => {
  it('shows milligrams in the unit that is chosen and gives whole milligrams back', async () => {
    const one = mount(QuantityField, { props: { label: 'Weight', quantity: 'mass', modelValue: 56_250 } });
    expect(one.get('input').element.value).toBe('56.25');
    await one.get('input').setValue('60');
    expect(one.emitted('update:modelValue')!.at(-1)).toEqual([60_000]);
    useUnits().chosen.mass = 'oz';
    await nextTick();
    expect(one.text()).toMatch(/oz/);
    await one.get('input').setValue('1');
    expect(one.emitted('update:modelValue')!.at(-1)).toEqual([28_350]);
  });
});

describe('a row of the shelf', () => {
  it('says of what it is changed or taken off', async () => {
    const row = mount(RowActions, { props: { name: 'Ochre' } });
    const [change, remove] = row.findAll('button');
    expect(change!.attributes('aria-label')).toBe('Change Ochre');
    expect(remove!.attributes('aria-label')).toBe('Take Ochre off the shelf');
    await change!.trigger('click');
    await remove!.trigger('click');
    expect(row.emitted()).toMatchObject({ change: [[]], remove: [[]] });
  });
});

describe('the drawer of a record', () => {
  const saved: unknown[] = [];
  function open() {
    const drawer = useRecordDrawer<{ id: string }, { name: string }>({ name: '' }, async (...given) =>
      saved.push(given),
    );
    drawer.begin('new', { name: '' });
    const wrapper = mount(RecordDrawer, {
      props: { drawer: drawer as never, form: 'cup', title: 'Enter a cup' },
      slots: { default: '<input class="name" />' },
      attachTo: document.body,
    });
    return { drawer, wrapper };
  }
  const button = (words: string) =>
    [...document.querySelectorAll('button')].find((each) => each.textContent?.trim() === words)!;

  it('asks before it throws away what was typed; Escape goes back to it', async () => {
    const { drawer } = open();
    await nextTick();
    drawer.draft.value.name = 'Tub';
    button('Leave it').click();
    await nextTick();
    expect(document.body.textContent).toMatch(/What you typed is not kept yet/);
    document
      .querySelector('[role="alert"]')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    await nextTick();
    expect(drawer.target.value).toBe('new');
    expect(document.body.textContent).not.toMatch(/not kept yet/);
    button('Leave it').click();
    await nextTick();
    button('Throw it away').click();
    expect(drawer.target.value).toBeNull();
  });

  it('closes at once where nothing was typed, and not by Escape in an open list', async () => {
    const { drawer } = open();
    await nextTick();
    const inside = document.querySelector('.name')!;
    const list = document.createElement('div');
    list.className = 'ant-select-open';
    document.body.append(list);
    const escape = () => new KeyboardEvent('keydown', { key: 'Escape', bubbles: true });
    inside.dispatchEvent(escape());
    expect(drawer.target.value).toBe('new');
    list.remove();
    inside.dispatchEvent(escape());
    expect(drawer.target.value).toBeNull();
  });
});
