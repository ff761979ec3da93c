import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';

const builderOf = (page: Page): AxeBuilder =>
  new AxeBuilder({ page })
    // Without frames of others there is nothing to gather on a page of its own.
    .setLegacyMode(true)
    // The component library's own: a closed drop-down names a list that is not there yet.
    .exclude('.ant-select-selection-search-input');

async function told(builder: AxeBuilder): Promise<string[]> {
  const { violations } = await builder.analyze();
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`,
  );
}

/** What a page violates of the accessibility rules, levels A and AA. */
export const violationsOf = (page: Page): Promise<string[]> =>
  told(builderOf(page).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']));

/** The one of the rules that another appearance of the same page can break. */
export const contrastOf = (page: Page): Promise<string[]> =>
  told(builderOf(page).withRules('color-contrast'));
