/** Plain dress of a saved page: readable in any browser, without the program. */
const DRESS = `body{font:15px/1.45 sans-serif;max-width:860px;margin:24px auto;padding:0 16px;color:#16232b}
table{border-collapse:collapse;width:100%}th,td{text-align:left;padding:4px 12px 4px 0;border-bottom:1px solid #ccd9e0;vertical-align:top}
h1{margin:0}h2{font-size:17px;margin:16px 0 4px}.two{display:flex;gap:24px;flex-wrap:wrap}.hung{position:relative;display:block;overflow:hidden;flex:none}
.hung img{position:absolute;top:0;left:0;max-width:none;transform-origin:0 0}.round{border-radius:50%}`;

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** What is shown as a page of its own, its pictures inside it. */
export async function asOnePage(shown: HTMLElement, title: string): Promise<string> {
  const copy = shown.cloneNode(true) as HTMLElement;
  for (const image of copy.querySelectorAll('img')) {
    const answer = await fetch(image.src);
    if (answer.ok) image.src = await asDataUrl(await answer.blob());
    else image.remove();
  }
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>${escaped(title)}</title><style>${DRESS}</style><body>${copy.outerHTML}</body></html>`;
}

function asDataUrl(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(reader.error ?? new Error('The picture could not be read.'));
    reader.readAsDataURL(blob);
  });
}
