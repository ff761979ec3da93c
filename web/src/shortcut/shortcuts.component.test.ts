/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { defineComponent, h, nextTick, ref } from 'vue';
import ShortcutHelp from './ShortcutHelp.vue';
import { shortcutGroups, useShortcuts } from './shortcuts.ts';

const done: string[] = [];
const active = ref(true);
const Screen = defineComponent({
  setup() {
    useShortcuts(
      'Screen',
      [
        { keys: ['l'], shown: 'L', does: 'Lay it out', run: () => done.push('l') },
        { keys: [' ', 'PageDown'], shown: 'Space', does: 'Next', run: () => done.push('next') },
        { keys: ['Escape'], shown: 'Escape', does: 'Let go', run: () => done.push('escape') },
      ],
      active,
    );
    return () =>
      h('div', [
        h('input'),
        ...['radio', 'checkbox'].map((type) => h('input', { type })),
        h('button', { type: 'button' }, 'Press'),
        h('p', 'Text'),
      ]);
  },
});

let screen: ReturnType<typeof mount>;
beforeEach(() => {
  done.length = 0;
  active.value = true;
  screen = mount(Screen, { attachTo: document.body });
});
afterEach(() => {
  screen.unmount();
  document.body.innerHTML = '';
});

const press = (key: string, on: Element | Window = window, more: KeyboardEventInit = {}) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more });
  on.dispatchEvent(event);
  return event;
};

it('a key does what it says, in capitals too, and nothing else happens', () => {
  expect(press('l').defaultPrevented).toBe(true);
  press('L');
  expect(done).toEqual(['l', 'l']);
  expect(press('q').defaultPrevented).toBe(false);
});

it.each(['ctrlKey', 'metaKey', 'altKey'] as const)('a key with %s is the browser’s', (modifier) => {
  expect(press('l', window, { [modifier]: true }).defaultPrevented).toBe(false);
  expect(done).toEqual([]);
});

it('what was seen to already is left alone', () => {
  const event = new KeyboardEvent('keydown', { key: 'l', cancelable: true });
  event.preventDefault();
  window.dispatchEvent(event);
  expect(done).toEqual([]);
});

it('typing stays typing; a foot pedal and Escape get through', () => {
  const input = screen.get('input').element;
  for (const key of ['l', ' ']) press(key, input);
  expect(done).toEqual([]);
  press('PageDown', input);
  press('Escape', input);
  expect(done).toEqual(['next', 'escape']);
});

it('Space chooses a radio button, and goes on from one that is chosen', () => {
  const radio = screen.get<HTMLInputElement>('[type=radio]').element;
  press(' ', radio);
  press('ArrowDown', radio);
  expect(done).toEqual([]);
  radio.checked = true;
  for (const key of [' ', 'l', 'ArrowDown']) press(key, radio);
  expect(done).toEqual(['next', 'l']);
});

it('Space on a box ticks it, ticked or not', () => {
  const box = screen.get<HTMLInputElement>('[type=checkbox]').element;
  for (const checked of [true, false]) {
    box.checked = checked;
    press(' ', box);
  }
  expect(done).toEqual([]);
});

it('Space on a button presses the button; letters still work there', () => {
  const button = screen.get('button').element;
  press(' ', button);
  expect(done).toEqual([]);
  press('l', button);
  expect(done).toEqual(['l']);
});

it('while a dialog is open its keys are its own', () => {
  const dialog = document.createElement('div');
  dialog.setAttribute('role', 'dialog');
  dialog.getClientRects = () => [{}] as never;
  document.body.append(dialog);
  press('l', screen.get('p').element);
  expect(done).toEqual([]);
  dialog.remove();
  press('l', screen.get('p').element);
  expect(done).toEqual(['l']);
});

it('keys rest while they are not in force, and are gone with their screen', () => {
  active.value = false;
  press('l');
  expect(done).toEqual([]);
  active.value = true;
  expect(shortcutGroups.map(({ screen: name }) => name)).toEqual(['Screen']);
  screen.unmount();
  press('l');
  expect(done).toEqual([]);
  expect(shortcutGroups).toEqual([]);
});

it('the help lists the keys of the screen, and Escape closes it', async () => {
  const help = mount(ShortcutHelp, { props: { open: true }, attachTo: document.body });
  await nextTick();
  expect(document.body.textContent).toMatch(/Lay it out/);
  press('Escape');
  expect(help.emitted('update:open')).toEqual([[false]]);
  help.unmount();
});
