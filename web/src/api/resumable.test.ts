/** @jest-environment jsdom */
import { sendInPieces, type SendOptions } from './resumable.ts';

/** What the protocol's client was asked, one by one. */
const uploads: { url: string | null; options: Record<string, (given: unknown) => void> }[] = [];

jest.mock('tus-js-client', () => {
  class DetailedError extends Error {
    originalResponse: unknown;
    constructor(body: string) {
      super('refused');
      this.originalResponse = { getBody: () => body, getStatus: () => 422 };
    }
  }
  class Upload {
    url = '/api/uploads/1';
    constructor(_file: Blob, options: never) {
      mockUploads.push({ url: (options as { uploadUrl: string | null }).uploadUrl, options });
    }
    start(): void {}
    abort(): Promise<void> {
      return Promise.resolve();
    }
  }
  return { Upload, DetailedError };
});
const mockUploads = uploads;

const PHOTO = {
  ...{ id: '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10', pieceId: '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a11' },
  ...{ version: 1, state: 'wet', hash: 'a'.repeat(64), widthPx: 10, heightPx: 10, measurement: null },
  ...{ original: null, standIn: false, createdAt: '2026-01-01T10:00:00.000Z', deletedAt: null },
};
const answered = (body: string) => ({ lastResponse: { getBody: () => body } });
const options = (changed: Partial<SendOptions> = {}): SendOptions => ({
  ...{ url: null, onUrl: jest.fn(), onShare: jest.fn(), signal: new AbortController().signal },
  ...changed,
});
const begun = async () => {
  await new Promise((resolve) => setTimeout(resolve));
  return uploads.at(-1)!;
};

beforeEach(() => uploads.splice(0));

it('gives the photo that the server answers with; where and how far it is are told', async () => {
  const onUrl = jest.fn();
  const onShare = jest.fn();
  const sent = sendInPieces(new Blob(['x']), {}, options({ onUrl, onShare }));
  const { options: asked } = await begun();
  (asked.onUploadUrlAvailable as () => void)();
  (asked.onProgress as unknown as (sent: number, of: number) => void)(25, 100);
  asked.onSuccess!(answered(JSON.stringify(PHOTO)));
  expect(await sent).toEqual(PHOTO);
  expect(onUrl).toHaveBeenCalledWith('/api/uploads/1');
  expect(onShare).toHaveBeenCalledWith(0.25);
});

it('one that was all there without an answer is sent anew under its own id', async () => {
  const sent = sendInPieces(new Blob(['x']), { id: 'own' }, options({ url: '/api/uploads/7' }));
  const first = await begun();
  expect(first.url).toBe('/api/uploads/7');
  first.options.onSuccess!(answered(''));
  const second = await begun();
  expect(second.url).toBeNull();
  expect((second.options as unknown as { metadata: object }).metadata).toEqual({ id: 'own' });
  second.options.onSuccess!(answered(JSON.stringify(PHOTO)));
  expect(await sent).toEqual(PHOTO);
});

it('what the server says against it is told as everywhere else; a broken line as one', async () => {
  const { DetailedError } = jest.requireMock<{ DetailedError: new (body: string) => Error }>('tus-js-client');
  const problem = { type: 'about:blank', title: 'No', status: 422, detail: 'No picture.' };
  const refused = sendInPieces(new Blob(['x']), {}, options());
  (await begun()).options.onError!(new DetailedError(JSON.stringify(problem)));
  await expect(refused).rejects.toThrow('No picture.');
  const broken = sendInPieces(new Blob(['x']), {}, options());
  (await begun()).options.onError!(new Error('network'));
  await expect(broken).rejects.toMatchObject({ problem: { status: 0 } });
});

it('is called off by its signal', async () => {
  const stop = new AbortController();
  const sent = sendInPieces(new Blob(['x']), {}, options({ signal: stop.signal }));
  await begun();
  stop.abort();
  expect(await sent).toBeNull();
});
