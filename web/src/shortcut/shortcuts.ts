import { onBeforeUnmount, onMounted, shallowReactive, type Ref } from 'vue';

/** One key of the screen one is on. */
export interface Shortcut {
  /** KeyboardEvent.key values that trigger it. */
  readonly keys: readonly string[];
  /** How the keys are written in the help. */
  readonly shown: string;
  readonly does: string;
  readonly run: (event: KeyboardEvent) => void;
}

export interface ShortcutGroup {
  readonly screen: string;
  readonly shortcuts: readonly Shortcut[];
}

/** The groups in force, the innermost screen last. */
export const shortcutGroups = shallowReactive<ShortcutGroup[]>([]);

/** Puts a screen's keys in force while its component is there and `active` (if given) is true. */
export function useShortcuts(
  screen: string,
  shortcuts: readonly Shortcut[],
  active?: Readonly<Ref<boolean>>,
): void {
  const group: ShortcutGroup = { screen, shortcuts };
  const listen = (event: KeyboardEvent) => {
    if (active && !active.value) return;
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
    if (isTakenByControl(event)) return;
    // Caps Lock is easily touched with a glove.
    const pressed = [event.key, event.key.toLowerCase()];
    const shortcut = shortcuts.find((each) => each.keys.some((key) => pressed.includes(key)));
    if (!shortcut) return;
    event.preventDefault();
    shortcut.run(event);
  };
  onMounted(() => {
    shortcutGroups.push(group);
    window.addEventListener('keydown', listen);
  });
  onBeforeUnmount(() => {
    const index = shortcutGroups.indexOf(group);
    if (index >= 0) shortcutGroups.splice(index, 1);
    window.removeEventListener('keydown', listen);
  });
}

const TICKED = 'input[type="radio"], input[type="checkbox"]';
const TYPING = 'input, textarea, select, [contenteditable="true"], [role="combobox"]';
const PRESSABLE =
  'button, a, [role="button"], [role="radio"], [role="slider"], [role="tab"], [role="option"]';

/**
 * Typing stays typing, and Space or Enter on a focused control belongs to the control. On a radio button that is chosen
 * already Space does nothing by itself, so it goes on to the screen: the one who just chose "Next step" presses it next.
 */
function isTakenByControl(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  if (!target?.closest) return false;
  if (isDialogOpen()) return true;
  const ticked = target.closest<HTMLInputElement>(TICKED);
  if (ticked) {
    const chosen = ticked.type === 'radio' && ticked.checked;
    return event.key.startsWith('Arrow') || (event.key === ' ' && !chosen);
  }
  if (target.closest(TYPING)) return event.key !== 'PageDown' && event.key !== 'Escape';
  const presses = event.key === ' ' || event.key === 'Enter' || event.key.startsWith('Arrow');
  return presses && target.closest(PRESSABLE) !== null;
}

function isDialogOpen(): boolean {
  return [...document.querySelectorAll<HTMLElement>('[role="dialog"]')].some(
    (dialog) => dialog.offsetParent !== null || dialog.getClientRects().length > 0,
  );
}
