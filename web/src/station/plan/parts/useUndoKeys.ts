import { useEventListener } from '@vueuse/core';

/** Undo and redo as everywhere on a computer: Ctrl or Command and Z, with Shift forward again; typing keeps its own. */
export function useUndoKeys(steps: { undo(): void; redo(): void }): void {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const typing = (event.target as HTMLElement | null)?.closest('input, textarea, [role="dialog"]');
    if (typing || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    if (event.shiftKey) steps.redo();
    else steps.undo();
  });
}
