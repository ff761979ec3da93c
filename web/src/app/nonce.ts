/**
 * Gives every style element made at run time the nonce of this page, so that component styles work under
 * a content policy that allows no inline styles.
 */
export function carryNonce(): void {
  const nonce = document.querySelector<HTMLMetaElement>('meta[name="nonce"]')?.content;
  if (!nonce || nonce.startsWith('%')) return;
  const createElement = document.createElement.bind(document) as (
    tag: string,
    options?: ElementCreationOptions,
  ) => HTMLElement;
  document.createElement = ((tag: string, options?: ElementCreationOptions) => {
    const element = createElement(tag, options);
    if (element instanceof HTMLStyleElement) element.nonce = nonce;
    return element;
  }) as typeof document.createElement;
}
