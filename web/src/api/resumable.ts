import { TAB_HEADER, UPLOADS_PATH, type Photo } from '@icy-ribbon/contract';
import { reportAway, reportBack } from './connection.ts';
import { ApiProblem, problemIn } from './problem.ts';
import { tabId } from './tab.ts';

export interface SendOptions {
  /** Where it was begun before; null when it was not. */
  readonly url: string | null;
  readonly onUrl: (url: string) => void;
  /** How much of it the server has, 0 to 1. */
  readonly onShare: (share: number) => void;
  readonly signal: AbortSignal;
}

const RETRY_MS = [500, 1000, 2000, 4000, 8000, 8000];

/**
 * Sends a photo in pieces; after a broken line it goes on where it stopped.
 *
 * @returns the photo as it was kept; null when it was called off
 * @throws ApiProblem when the server will not take it; with status 0 when it cannot be reached
 */
export async function sendInPieces(
  file: Blob,
  fields: Readonly<Record<string, string>>,
  options: SendOptions,
): Promise<Photo | null> {
  const { url, onUrl, onShare, signal } = options;
  const { Upload, DetailedError } = await import('tus-js-client');
  return new Promise((resolve, reject) => {
    const upload = new Upload(file, {
      endpoint: UPLOADS_PATH,
      uploadUrl: url,
      metadata: { ...fields },
      headers: { [TAB_HEADER]: tabId() },
      retryDelays: RETRY_MS,
      // What is kept to go on with is kept by the caller, with the file itself.
      storeFingerprintForResuming: false,
      onUploadUrlAvailable: () => upload.url && onUrl(upload.url),
      onProgress: (sent, total) => {
        reportBack();
        onShare(total ? sent / total : 0);
      },
      onShouldRetry: (error) => {
        const status = error.originalResponse?.getStatus() ?? 0;
        if (status === 0) reportAway();
        return status === 0 || status >= 500 || status === 409 || status === 423;
      },
      onError: (error) =>
        reject(problemOf(error instanceof DetailedError ? error.originalResponse?.getBody() : undefined)),
      onSuccess: ({ lastResponse }) => {
        const photo = jsonOf(lastResponse.getBody()) as Photo | undefined;
        if (photo?.id) resolve(photo);
        // All of it was there, and the server stopped before it said so: by its id it is one photo still.
        else if (url !== null) resolve(sendInPieces(file, fields, { ...options, url: null }));
        else reject(problemOf(undefined));
      },
    });
    signal.addEventListener('abort', () => {
      void upload.abort();
      resolve(null);
    });
    if (!signal.aborted) upload.start();
  });
}

function jsonOf(text: string | undefined): unknown {
  try {
    return text ? (JSON.parse(text) as unknown) : undefined;
  } catch {
    return undefined;
  }
}

function problemOf(body: string | undefined): ApiProblem {
  return new ApiProblem(
    problemIn(jsonOf(body)) ?? {
      type: 'about:blank',
      title: 'The photo waits',
      status: 0,
      detail: 'The photo could not be sent yet. It is kept here and goes on by itself.',
    },
  );
}
