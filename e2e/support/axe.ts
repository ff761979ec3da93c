import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** What a page violates of the accessibility rules, levels A and AA. */
export async function violationsOf(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'])
    // The component library's own: a closed drop-down names a list that is not there yet.
    .exclude('.ant-select-selection-search-input')
    .analyze();
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`,
  );
}
