import { useMutationObserver } from '@vueuse/core';

/**
 * The drop-down lists of the component library keep a hidden list for those who do not see the screen, in which each
 * option is labeled with its words but holds its id as text. Some readers speak both: the text becomes the words too.
 */
export function useOptionNames(root: HTMLElement = document.body): void {
  useMutationObserver(root, (records) => records.forEach(({ target }) => nameOptions(target)), {
    childList: true,
    characterData: true,
    subtree: true,
  });
}

const OPTION = '[role="option"][aria-label]';

function nameOptions(changed: Node): void {
  const element = changed instanceof HTMLElement ? changed : changed.parentElement;
  const list = element?.closest('[role="listbox"]');
  for (const option of (list ?? element)?.querySelectorAll(OPTION) ?? []) {
    const text = option.firstChild;
    const words = option.getAttribute('aria-label');
    // Only the text of the node, so that the library finds its node again.
    if (text instanceof Text && text.data !== words) text.data = words ?? '';
  }
}
