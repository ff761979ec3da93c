/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { ApiProblem } from '../api/problem.ts';
import RefusedEntry from './RefusedEntry.vue';
import { useLive } from '../store/live.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useUnits } from '../store/units.ts';
import { sendVersioned } from '../store/versioned.ts';
import ConflictDialog from './ConflictDialog.vue';
import UnitSwitch from './UnitSwitch.vue';
import WaitingNote from './WaitingNote.vue';

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
  document.body.innerHTML = '';
});

const button = (words: string) =>
  [...document.querySelectorAll('button')].find((each) => each.textContent?.trim() === words)!;

describe('two tabs that changed the same', () => {
  const theirs = { version: 5, name: 'Their name', faults: [1, 2], note: 'same', plan: { a: 1 } };
  const mine = { name: 'My name', faults: [1], note: 'same', plan: { a: 2 } };
  const send = jest.fn(async (version: number) => {
    if (version < 5) {
      throw new ApiProblem({ type: 'about:blank', title: 'Changed', status: 409, current: theirs });
    }
    return { ...theirs, ...mine, version: 6 };
  });

  async function conflicting() {
    const sent = sendVersioned(1, mine, send);
    await new Promise((resolve) => setTimeout(resolve));
    mount(ConflictDialog, { attachTo: document.body });
    await nextTick();
    return sent;
  }

  it('both are shown side by side, and only what differs', async () => {
    const sent = sendVersioned(1, mine, send);
    await new Promise((resolve) => setTimeout(resolve));
    mount(ConflictDialog, { attachTo: document.body });
    await nextTick();
    const rows = [...document.querySelectorAll('tbody tr')].map((row) =>
      [...row.children].map((cell) => cell.textContent?.trim()),
    );
    expect(rows).toEqual([
      ['name', 'My name', 'Their name'],
      ['faults', '1', '2'],
      ['plan', 'set in another way', 'set in another way'],
    ]);
    button('Keep mine').click();
    await expect(sent).resolves.toMatchObject({ version: 6, name: 'My name' });
  });

  it('what is there can be taken instead', async () => {
    const deciding = conflicting();
    await new Promise((resolve) => setTimeout(resolve, 5));
    button('Take what is there').click();
    await expect(deciding).resolves.toBeUndefined();
  });
});

it('the units in use stand at the switch', async () => {
  const units = useUnits();
  const shown = mount(UnitSwitch, { attachTo: document.body });
  expect(shown.get('button').text()).toBe('g · ml · cm · °C');
  units.chosen.mass = 'oz';
  units.chosen.temperature = 'F';
  await nextTick();
  expect(shown.get('button').text()).toBe('oz · ml · cm · °F');
});

describe('an entry that the studio did not take', () => {
  const write = { kind: 'take-back', cupId: 'm', additionId: 'a' } as const;
  const refused = { id: 'e1', pieceId: 'p1', write, reason: 'The cup is empty.' };
  const press = (shown: ReturnType<typeof mount>, words: string) =>
    shown
      .findAll('button')
      .find((each) => each.text() === words)!
      .trigger('click');

  it('says why, and can be read, copied and tried again; it goes only when that is asked and answered', async () => {
    const store = usePiece();
    const retry = jest.spyOn(store, 'retryRefused').mockImplementation(() => {});
    const drop = jest.spyOn(store, 'dropRefused').mockImplementation(() => {});
    const copied: string[] = [];
    Object.assign(navigator, {
      clipboard: { writeText: (text: string) => Promise.resolve(void copied.push(text)) },
    });
    const shown = mount(RefusedEntry, { props: { refused, title: 'A reading' }, attachTo: document.body });
    expect(shown.text()).toContain("A reading wasn't taken. The cup is empty. It's safe on this device.");
    await press(shown, 'Show entry');
    expect(JSON.parse(shown.get('pre').text())).toEqual(write);
    await press(shown, 'Copy entry');
    expect(JSON.parse(copied[0]!)).toEqual(write);
    await press(shown, 'Try again');
    await press(shown, 'Discard');
    expect([retry.mock.calls, drop.mock.calls]).toEqual([[['e1']], []]);
  });
});

it('an hour before the sign-in ends it is said, and not earlier', async () => {
  const live = useLive();
  const shown = mount(WaitingNote, { attachTo: document.body });
  live.signedInUntil = new Date(Date.now() + 2 * 3_600_000).toISOString();
  await nextTick();
  expect(shown.text()).not.toContain('sign-in ends');
  live.signedInUntil = new Date(Date.now() + 1_800_000).toISOString();
  await nextTick();
  expect(shown.text()).toMatch(/This device's sign-in ends at .* join again/);
});
