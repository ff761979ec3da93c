import { PROBLEM_MEDIA_TYPE } from '@icy-ribbon/contract';
import type { RequestHandler, Response } from 'express';
import { bodyOf, HttpProblem } from '../http/problem.ts';

const MOST_OF_DEVICE = 8;
const MOST = 200;
/** From one address within a second: eight pages that come back after a broken line, twice over. */
const MOST_A_SECOND = 20;
/** What may wait to be read by a page that does not read. */
const MOST_WAITING_BYTES = 256 * 1024;
const BEAT_MS = 20_000;
/** Timers take no longer time than this. */
const LONGEST_MS = 2 ** 31 - 1;

/** An event stream to a page. */
export interface Stream {
  /** Writes a line; a stream that nobody reads is cut instead. */
  readonly tell: (line: string) => void;
}

/** Event streams that are open, each of one tab of one device. */
export interface Streams {
  /**
   * Opens one. A tab that comes again takes the place of its old one.
   *
   * @param who the device, or the machine itself
   * @param endsAt when its sign-in ends, asked again then: it may have been in use; null never
   * @throws HttpProblem 429 when there are too many
   */
  open(response: Response, who: string, tab: string, endsAt: () => Date | null): Stream;
  /** Ends those of a device. */
  endOf(who: string): void;
  /** Turns away, before anything else is done for it, whoever asks again and again. */
  readonly gate: RequestHandler;
  readonly count: number;
}

interface Open {
  readonly response: Response;
  readonly who: string;
  readonly tab: string;
}

export function openStreams(now: () => Date = () => new Date()): Streams {
  const all = new Set<Open>();
  const tooMany = () =>
    new HttpProblem(
      'too-many-streams',
      'Too many pages of the studio are open. Close some, then reload this one.',
    );
  const refusal = JSON.stringify(bodyOf(tooMany()));
  let second = 0;
  let askedBy = new Map<string, number>();

  return {
    open(response, who, tab, endsAt) {
      for (const each of all) if (each.who === who && each.tab === tab) each.response.end();
      const others = [...all].filter((each) => each.who !== who || each.tab !== tab);
      if (others.length >= MOST || others.filter((each) => each.who === who).length >= MOST_OF_DEVICE) {
        throw tooMany();
      }
      const mine: Open = { response, who, tab };
      all.add(mine);
      const tell = (line: string) => {
        if (response.writableEnded || response.destroyed) return;
        response.write(line);
        if (response.writableLength > MOST_WAITING_BYTES) response.destroy();
      };
      // A line that says nothing finds out whether anyone listens still.
      const beat = setInterval(() => tell(':\n\n'), BEAT_MS);
      let end: ReturnType<typeof setTimeout> | undefined;
      const heedEnd = () => {
        const at = endsAt();
        if (at === null) return;
        const left = at.getTime() - now().getTime();
        if (left <= 0) response.end();
        else end = setTimeout(heedEnd, Math.min(left, LONGEST_MS));
      };
      heedEnd();
      response.on('close', () => {
        clearInterval(beat);
        clearTimeout(end);
        all.delete(mine);
      });
      return { tell };
    },
    gate(request, response, next) {
      const at = Math.floor(now().getTime() / 1000);
      if (at !== second) [second, askedBy] = [at, new Map()];
      const address = request.socket.remoteAddress ?? '';
      const asked = 1 + (askedBy.get(address) ?? 0);
      askedBy.set(address, asked);
      if (asked <= MOST_A_SECOND) next();
      else response.writeHead(429, { 'Content-Type': PROBLEM_MEDIA_TYPE, Connection: 'close' }).end(refusal);
    },
    endOf(who) {
      for (const each of all) if (each.who === who) each.response.end();
    },
    get count() {
      return all.size;
    },
  };
}
