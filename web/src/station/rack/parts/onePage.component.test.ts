/** @jest-environment jsdom */
import { api } from '@icy-ribbon/contract/addresses';
import { asOnePage } from './onePage.ts';
import { pieceOfSketch } from './pieceOfSketch.ts';

describe('a record that is saved as a page of its own', () => {
  const shown = (html: string) => {
    const element = document.createElement('article');
    element.innerHTML = html;
    return element;
  };

  it('holds its pictures, and no address that a reader would have to reach', async () => {
    globalThis.fetch = (() =>
      Promise.resolve({
        ok: true,
        blob: () => Promise.resolve(new Blob(['x'], { type: 'image/jpeg' })),
      })) as never;
    const html = await asOnePage(shown('<h1>Slate fan</h1><img src="/api/photos/1/thumbnail">'), 'Slate fan');
    expect(html).toContain('<title>Slate fan</title>');
    expect(html).toContain('src="data:image/jpeg;base64,');
    expect(html).not.toMatch(/src="(http|\/)/);
  });

  it('leaves a picture out that is gone, and takes a name for a name', async () => {
    globalThis.fetch = (() => Promise.resolve({ ok: false })) as never;
    const html = await asOnePage(shown('<img src="/api/photos/2/thumbnail">'), '<b>Fan & "moth"</b>');
    expect(html).not.toContain('<img');
    expect(html).toContain('<title>&#60;b&#62;Fan &#38; &#34;moth&#34;&#60;/b&#62;</title>');
  });
});

describe('a sketch that becomes a piece', () => {
  it('keeps its parent, plans a cup for each paint, and lays every mark', async () => {
    const sent: { path: string; body: Record<string, unknown> }[] = [];
    globalThis.fetch = ((path: string, init: { body: string }) => {
      sent.push({ path, body: JSON.parse(init.body) as Record<string, unknown> });
      return Promise.reject(new Error('seen'));
    }) as never;
    const brush = (materialId: string, name: string) => ({ materialId, name, colorHex: '#9c4a2c' });
    const mark = (id: string, kind: 'stroke' | 'area', paint: ReturnType<typeof brush>) => ({
      ...{ id, kind, ...paint, widthMm: 20, onlyOn: null },
      points: [
        [50, 50],
        [150, 50],
        [150, 120],
      ] as [number, number][],
    });
    const [rust, rain] = [
      brush('3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10', 'Rust'),
      brush('3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a11', 'Rain'),
    ];
    const started: unknown[] = [];
    jest.useFakeTimers();
    const made = pieceOfSketch(
      { id: 'p', name: 'Kelp line', technique: 'dutch', support: {} } as never,
      { filmMm: 0.6, marks: [mark('a', 'stroke', rust), mark('b', 'area', rain), mark('c', 'stroke', rust)] },
      { width: 150, height: 100, pxPerMm: 0.5, shape: 'rectangle' },
      {
        recipeId: 'D2',
        densityOf: () => 1.1,
        start: (_parent, input) => {
          started.push(input);
          return Promise.resolve({ id: 'child' } as never);
        },
      },
    ).catch(() => undefined);
    await jest.runAllTimersAsync();
    await made;
    jest.useRealTimers();
    expect(started).toEqual([{ name: 'Kelp line, altered', technique: 'dutch', how: 'alter' }]);
    const { path, body } = sent[0]!;
    expect(path).toBe(api.plans.put.path.replace(':pieceId', 'child'));
    const planned = body.planned as { id: string; name: string; materialId: string }[];
    expect(planned.map(({ name }) => name)).toEqual(['Rust', 'Rain']);
    const paths = body.paths as { layers: { cupId: string }[] }[];
    expect(paths.map(({ layers: [layer] }) => layer!.cupId)).toEqual([planned[0]!.id, planned[0]!.id]);
    expect(body.stacks).toHaveLength(1);
  });
});
