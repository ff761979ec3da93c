import { mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { EventEmitter } from 'node:events';
import { get } from 'node:https';
import type { Devices as Shown, Invitation, Live } from '@icy-ribbon/contract';
import express from 'express';
import request from 'supertest';
import { readConfig } from '../config.ts';
import { write } from '../db/write.ts';
import { signInGuard } from '../http/guard.ts';
import { problemHandler } from '../http/problem.ts';
import { openStudio, startPiece, type Studio } from '../testing/studio.ts';
import { certificateFor, fingerprintOf } from './certificate.ts';
import { tokenOf } from './cookie.ts';
import { openDevices } from './devices.ts';
import { openInvitations } from './invitations.ts';
import { joinRoutes } from './join.ts';
import { makeHub } from './live.ts';
import { openStreams } from './streams.ts';

let studio: Studio;
beforeEach(async () => {
  studio = await openStudio();
  studio.served.door.openAsKept(studio.served.app).catch(() => undefined);
});
afterEach(() => studio.close());

const show = async () => (await studio.http.get('/api/devices').expect(200)).body as Shown;
const door = (isOpen: boolean, isSecure = false) =>
  studio.http.put('/api/devices/door').send({ isOpen, isSecure });
const invite = async (keepDays = 30) =>
  (await studio.http.post('/api/devices/invitations').send({ keepDays }).expect(201)).body as Invitation;
const joinWith = (code: string, name = 'Phone') =>
  studio.http.post('/join').type('form').send({ code, name });
const cookieOf = (answer: request.Response) => String(answer.headers['set-cookie']).split(';')[0]!;

describe('joining', () => {
  it('a closed door invites nobody; an open one makes a code with the addresses in which it stands', async () => {
    expect(await show()).toMatchObject({ door: { isOpen: false, addresses: [] }, devices: [], isHome: true });
    await studio.http.post('/api/devices/invitations').send({ keepDays: 30 }).expect(422);
    await door(true).expect(200);
    const { code, urls, until } = await invite();
    expect(code).toMatch(/^[A-HJ-NP-Z2-9]{8}$/);
    expect(Date.parse(until) - Date.now()).toBeLessThanOrEqual(5 * 60_000);
    for (const url of urls) expect(url).toMatch(new RegExp(`^http://[\\d.]+:\\d+/join\\?code=${code}$`));
    await door(false).expect(200);
    expect((await show()).door).toMatchObject({ isOpen: false, addresses: [] });
  });

  it('a code lets one device in, once; the device is listed, and can be signed out', async () => {
    await door(true).expect(200);
    const { code } = await invite();
    const page = await studio.http.get('/join').query({ code }).expect(200);
    expect(page.text).toContain(`value="${code}"`);
    const joined = await joinWith(code.toLowerCase(), 'Kitchen phone').expect(303);
    expect(joined.headers['set-cookie']![0]).toMatch(/HttpOnly; SameSite=Lax; Max-Age=2592000$/);
    const again = await joinWith(code).expect(401);
    expect(again.text).toContain('This code is wrong, was used');
    const { devices } = await show();
    expect(devices).toMatchObject([{ name: 'Kitchen phone', isThis: false }]);
    const mine = await studio.http.get('/api/devices').set('Cookie', cookieOf(joined)).expect(200);
    expect((mine.body as Shown).devices[0]).toMatchObject({ isThis: true });
    await studio.http.delete(`/api/devices/${devices[0]!.id}`).expect(200);
    expect((await show()).devices).toEqual([]);
    await studio.http.delete(`/api/devices/${devices[0]!.id}`).expect(404);
  });

  it('what is typed into the page comes back as text, never as part of it', async () => {
    const answer = await joinWith('NOTACODE', '<script>alert(1)</script>').expect(401);
    expect(answer.text).not.toContain('<script>');
    await joinWith('NOTACODE', '').expect(422);
  });

  it('the file holds no cookie, and nobody else may read it', async () => {
    await door(true).expect(200);
    const answer = await joinWith((await invite()).code).expect(303);
    const path = join(studio.folder, 'devices.json');
    const token = tokenOf(cookieOf(answer))!;
    expect(readFileSync(path, 'utf8')).not.toContain(token);
    expect(statSync(path).mode & 0o077).toBe(0);
  });
});

describe('who is let in', () => {
  const loopback = { ...readConfig({}, '/x'), isLoopback: true };

  /** A server that believes every request to come from another machine. */
  function fromElsewhere(folder: string) {
    const devices = openDevices(join(folder, 'elsewhere.json'));
    const invitations = openInvitations();
    const app = express();
    app.use((req, _response, next) => {
      Object.defineProperty(req.socket, 'remoteAddress', { value: '192.0.2.7', configurable: true });
      next();
    });
    joinRoutes(app, devices, invitations);
    app.use(signInGuard(loopback, devices));
    app.get('/{*path}', (_request, response) => void response.json({ in: true }));
    app.use(problemHandler(() => {}));
    return { app, devices, invitations };
  }

  it('from another machine nobody without a code: pages lead to joining, calls are refused; with its cookie until it is signed out', async () => {
    const { app, devices, invitations } = fromElsewhere(studio.folder);
    const page = await request(app).get('/pour/x').set('Accept', 'text/html').expect(303);
    expect(page.headers.location).toBe('/join');
    const refused = await request(app).get('/api/pieces').set('Accept', 'application/json').expect(401);
    expect((refused.body as { type: string }).type).toBe('/problems/sign-in-needed');
    const { code } = invitations.make(1, 'studio');
    const joined = await request(app).post('/join').type('form').send({ code, name: 'Phone' }).expect(303);
    const cookie = cookieOf(joined);
    await request(app).get('/api/pieces').set('Cookie', cookie).expect(200);
    await devices.signOut(devices.list()[0]!.id);
    await request(app).get('/api/pieces').set('Cookie', cookie).expect(401);
  });

  it('guessing codes is held up', async () => {
    const { app, invitations } = fromElsewhere(studio.folder);
    invitations.make(30, 'studio');
    const answers = [];
    for (let at = 0; at < 12; at += 1) {
      const guess = { code: `AAAAAAA${at}`, name: 'Guest' };
      answers.push((await request(app).post('/join').type('form').send(guess)).status);
    }
    expect(answers.slice(0, 10)).toEqual(Array(10).fill(401));
    expect(answers.slice(10)).toEqual([429, 429]);
  });

  it('codes grow old after five minutes, devices when their days are over', async () => {
    let now = new Date('2026-05-01T10:00:00Z');
    const clock = () => now;
    const invitations = openInvitations(clock);
    const devices = openDevices(join(studio.folder, 'old.json'), clock);
    const { code } = invitations.make(1, 'studio');
    const { token } = await devices.join('Phone', 1);
    now = new Date('2026-05-01T10:05:01Z');
    expect(invitations.take(code, '192.0.2.7')).toBeUndefined();
    expect(devices.find(token)).toBeDefined();
    now = new Date('2026-05-02T10:00:01Z');
    expect(devices.find(token)).toBeUndefined();
    expect(openDevices(join(studio.folder, 'old.json'), clock).list()).toEqual([]);
  });

  it('ten wrong codes from an address, and it waits for a new one; fifty from wherever make a code void', () => {
    const invitations = openInvitations();
    const { code } = invitations.make(1, 'studio');
    for (let at = 0; at < 10; at += 1) expect(invitations.take('WRONG', '192.0.2.9')).toBeUndefined();
    expect(invitations.take(code, '192.0.2.9')).toBe('wait');
    // Nobody else is kept out by that, and a new code begins anew.
    expect(invitations.take(code, '192.0.2.7')).toMatchObject({ keepDays: 1 });
    const { code: next } = invitations.make(1, 'studio');
    expect(invitations.take(next, '192.0.2.9')).toMatchObject({ keepDays: 1 });
  });
});

describe('encrypted', () => {
  it('a certificate is made once, for these addresses, and made anew for others or when it ends', async () => {
    const path = join(studio.folder, 'cert.json');
    const first = await certificateFor(['192.0.2.7'], null, path);
    expect(await certificateFor(['192.0.2.7'], null, path)).toEqual(first);
    const other = await certificateFor(['192.0.2.8'], null, path);
    expect(fingerprintOf(other)).not.toBe(fingerprintOf(first));
    const later = new Date(Date.now() + 380 * 86_400_000);
    expect(fingerprintOf(await certificateFor(['192.0.2.8'], null, path, later))).not.toBe(
      fingerprintOf(other),
    );
    expect(statSync(path).mode & 0o077).toBe(0);
  });

  it('a given one that is not there is told with the names of its settings', async () => {
    const given = { certFile: '/nowhere.pem', keyFile: '/nowhere.key' };
    await expect(certificateFor([], given, join(studio.folder, 'c.json'))).rejects.toThrow(
      /ICY_RIBBON_TLS_CERT/,
    );
    expect(() => readConfig({ ICY_RIBBON_TLS_CERT: 'a.pem' }, '/x')).toThrow(/belong together/);
  });

  it('the door answers by it, and says its fingerprint', async () => {
    const { body } = await door(true, true).expect(200);
    const { isSecure, fingerprint, addresses } = (body as Shown).door;
    expect([isSecure, fingerprint]).toEqual([true, expect.stringMatching(/^([0-9A-F]{2}:){31}/)]);
    for (const { url } of addresses) expect(url).toMatch(/^https:/);
    const { port } = studio.served.door;
    const shown = await new Promise<string>((resolve, reject) => {
      get({ host: '127.0.0.1', port: port!, path: '/api/health', rejectUnauthorized: false }, (answer) => {
        const { fingerprint256 } = (
          answer.socket as unknown as { getPeerCertificate(): { fingerprint256: string } }
        ).getPeerCertificate();
        answer.resume();
        answer.once('end', () => resolve(fingerprint256));
      }).once('error', reject);
    });
    expect(shown).toBe(fingerprint);
  });
});

describe('what a device may do', () => {
  const as = (cookie: string, method: 'get' | 'put' | 'post' | 'patch' | 'delete', path: string) =>
    elsewhere()[method](path).set('Cookie', cookie);
  /** The studio's own server, for requests that come from another machine. */
  const elsewhere = () => {
    const outer = express();
    outer.use((req, _response, next) => {
      Object.defineProperty(req.socket, 'remoteAddress', { value: '192.0.2.7', configurable: true });
      next();
    });
    outer.use(studio.served.app);
    return request(outer);
  };
  const join = async (keepDays: number, kind?: 'table' | 'studio') => {
    await door(true).expect(200);
    const { body } = await studio.http.post('/api/devices/invitations').send({ keepDays, kind }).expect(201);
    return cookieOf(await joinWith((body as Invitation).code).expect(303));
  };

  it('a device for a day is one of the table, one for longer of the studio, unless it is said otherwise', async () => {
    for (const [keepDays, given, kind] of [
      [1, undefined, 'table'],
      [30, undefined, 'studio'],
      [1, 'studio', 'studio'],
      [365, 'table', 'table'],
    ] as const) {
      const cookie = await join(keepDays, given);
      const { body } = await as(cookie, 'get', '/api/devices').expect(200);
      expect((body as Shown).rank).toBe(kind);
    }
  });

  it('at the table it weighs, reads, pours and rates; nothing else is changed by it', async () => {
    const piece = await startPiece(studio);
    const cookie = await join(1);
    const event = {
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      kind: 'note',
      data: { text: 'x' },
    };
    await as(cookie, 'post', `/api/pieces/${piece.id}/events`).send(event).expect(201);
    await as(cookie, 'get', `/api/pieces/${piece.id}`).expect(200);
    for (const [method, path] of [
      ['patch', `/api/pieces/${piece.id}`],
      ['delete', `/api/pieces/${piece.id}?version=1`],
      ['post', '/api/pieces'],
      ['post', '/api/materials'],
      ['post', '/api/archive'],
      ['post', '/api/pieces/import'],
      ['get', '/api/archive.zip'],
      ['post', '/api/safekeeping/backups'],
      ['put', '/api/safekeeping/second-folder'],
      ['post', '/api/devices/invitations'],
      ['put', '/api/devices/door'],
      ['post', '/api/calendar/address'],
    ] as const) {
      const { body } = await as(cookie, method, path).expect(403);
      expect([method, path, (body as { type: string }).type]).toEqual([
        method,
        path,
        '/problems/not-allowed',
      ]);
    }
  });

  it('one of the studio does all but what concerns the machine; a table device signs out itself only', async () => {
    const [table, mine] = [await join(1), await join(30)];
    await as(mine, 'post', '/api/safekeeping/backups').expect(201);
    for (const [method, path] of [
      ['put', '/api/devices/door'],
      ['put', '/api/safekeeping/second-folder'],
      ['post', '/api/safekeeping/backups/2026-03-01T10-00-00-000Z-daily/restore'],
    ] as const) {
      await as(mine, method, path).send({}).expect(403);
    }
    await as(mine, 'post', '/api/devices/invitations').send({ keepDays: 1 }).expect(201);
    const { body } = await as(table, 'get', '/api/devices').expect(200);
    const other = (body as Shown).devices.find(({ isThis }) => !isThis)!;
    const itself = (body as Shown).devices.find(({ isThis }) => isThis)!;
    await as(table, 'delete', `/api/devices/${other.id}`).expect(403);
    await as(table, 'delete', `/api/devices/${itself.id}`).expect(200);
    await as(table, 'get', '/api/devices').expect(401);
  });

  it('joining again with a new code is one device in the list, not two', async () => {
    const cookie = await join(1);
    const code = (await invite()).code;
    await studio.http
      .post('/join')
      .set('Cookie', cookie)
      .type('form')
      .send({ code, name: 'Phone' })
      .expect(303);
    expect((await show()).devices).toHaveLength(1);
    await as(cookie, 'get', '/api/health').expect(401);
  });

  it('a write that was begun before its device was signed out is not taken after it', async () => {
    const piece = await startPiece(studio);
    const cookie = await join(30);
    const { devices } = await show();
    // Another write holds the database while the device is signed out.
    let goOn = () => {};
    const held = new Promise<void>((resolve) => (goOn = resolve));
    const holding = write(studio.db, () => held);
    const late = as(cookie, 'patch', `/api/pieces/${piece.id}`)
      .send({ version: piece.version, name: 'Too late' })
      .then((answer) => answer);
    await new Promise((resolve) => setTimeout(resolve, 150));
    await studio.http.delete(`/api/devices/${devices[0]!.id}`).expect(200);
    goOn();
    await holding;
    expect((await late).status).toBe(401);
    const { body } = await studio.http.get(`/api/pieces/${piece.id}`).expect(200);
    expect((body as { name: string }).name).toBe('Test piece');
  });

  it('a calendar reads its dates by the address that was made for it, and nothing else; a new one ends the old', async () => {
    await elsewhere().get('/api/calendar.ics').expect(401);
    expect((await studio.http.get('/api/calendar/address').expect(200)).body).toEqual({ path: null });
    const first = (await studio.http.post('/api/calendar/address').expect(200)).body as { path: string };
    const feed = await elsewhere().get(first.path).expect(200);
    expect(feed.headers['content-type']).toMatch(/text\/calendar/);
    const token = first.path.split('?')[1]!;
    for (const path of ['/api/pieces', '/api/calendar/address', '/api/archive.zip']) {
      await elsewhere().get(`${path}?${token}`).expect(401);
    }
    await elsewhere().post(first.path).set('Accept', 'application/json').expect(401);
    const second = (await studio.http.post('/api/calendar/address').expect(200)).body as { path: string };
    await elsewhere().get(first.path).set('Accept', 'application/json').expect(401);
    await elsewhere().get(second.path).expect(200);
  });
});

describe('a sign-in that ends in mid-pour', () => {
  it('goes on while its device weighs, reads and pours, for three hours at most; one that is idle ends in time', async () => {
    let now = new Date('2026-05-01T10:00:00Z');
    const at = (time: string) => (now = new Date(`2026-05-0${time}:00Z`));
    const devices = openDevices(join(studio.folder, 'pour.json'), () => now);
    const [used, idle] = [await devices.join('Phone', 1, 'table'), await devices.join('Tablet', 1, 'table')];
    at('2T09:50');
    devices.noteUse(used.device.id);
    at('2T10:20');
    expect([devices.isIn(used.device.id), devices.isIn(idle.device.id)]).toEqual([true, false]);
    expect(devices.find(used.token)).toBeDefined();
    devices.noteUse(used.device.id);
    for (const time of ['2T11:10', '2T12:00', '2T12:50']) {
      at(time);
      expect(devices.isIn(used.device.id)).toBe(true);
      devices.noteUse(used.device.id);
    }
    at('2T13:01');
    expect(devices.isIn(used.device.id)).toBe(false);
    at('1T23:00');
    devices.noteUse(used.device.id);
    expect(openDevices(join(studio.folder, 'pour.json'), () => now).isIn(used.device.id)).toBe(true);
  });

  it('what cannot be kept is not opened, and closed all the same', async () => {
    await door(true).expect(200);
    rmSync(join(studio.folder, 'devices.json'));
    mkdirSync(join(studio.folder, 'devices.json'));
    await studio.http.put('/api/devices/door').send({ isOpen: false, isSecure: false });
    expect((await show()).door.isOpen).toBe(false);
    await studio.http.put('/api/devices/door').send({ isOpen: true, isSecure: false });
    expect((await show()).door.isOpen).toBe(false);
  });
});

describe('event streams', () => {
  /** An answer that nobody reads: what is written to it waits. */
  const answer = () => {
    const response = Object.assign(new EventEmitter(), {
      writableLength: 0,
      writableEnded: false,
      destroyed: false,
      write: (line: string) => void (response.writableLength += line.length),
      end() {
        response.writableEnded = true;
        response.emit('close');
      },
      destroy() {
        response.destroyed = true;
        response.emit('close');
      },
    });
    return response;
  };
  const never = () => null;

  it('a device has eight at most and the studio 200, the rest are refused in words; those that end make room', () => {
    const streams = openStreams();
    const open = (who: string, tab: string) => {
      const response = answer();
      streams.open(response as never, who, tab, never);
      return response;
    };
    const first = Array.from({ length: 8 }, (_, at) => open('phone', `tab ${at}`));
    expect(() => open('phone', 'ninth')).toThrow(/Close some/);
    // A tab that comes again after a broken line takes its own place.
    open('phone', 'tab 3');
    expect([first[3]!.writableEnded, streams.count]).toEqual([true, 8]);
    first[0]!.end();
    open('phone', 'ninth');
    for (let at = 0; at < 192; at += 1) open(`device ${at}`, 'tab');
    let refused = 0;
    for (let at = 0; at < 1000; at += 1) {
      try {
        open(`other ${at}`, 'tab');
      } catch {
        refused += 1;
      }
    }
    expect([refused, streams.count]).toEqual([1000, 200]);
    streams.endOf('phone');
    expect(streams.count).toBe(192);
    for (let at = 0; at < 192; at += 1) streams.endOf(`device ${at}`);
  });

  it('who asks again and again is turned away before anything is done for it, until the next second', () => {
    let now = new Date('2026-05-01T10:00:00.500Z');
    const streams = openStreams(() => now);
    const ask = (remoteAddress: string) => {
      let status = 0;
      const response = { writeHead: (given: number) => ((status = given), { end: () => {} }) };
      void streams.gate({ socket: { remoteAddress } } as never, response as never, () => (status = 200));
      return status;
    };
    const answers = Array.from({ length: 1000 }, () => ask('192.0.2.7'));
    expect(answers.filter((status) => status === 200)).toHaveLength(20);
    expect([answers.at(-1), ask('192.0.2.8')]).toEqual([429, 200]);
    now = new Date('2026-05-01T10:00:01.100Z');
    expect(ask('192.0.2.7')).toBe(200);
  });

  it('one that nobody reads is cut at 256 kB', () => {
    const streams = openStreams();
    const response = answer();
    const { tell } = streams.open(response as never, 'phone', 'tab', never);
    for (let at = 0; at < 300; at += 1) tell('x'.repeat(1024));
    expect([response.destroyed, response.writableLength <= 257 * 1024, streams.count]).toEqual([
      true,
      true,
      0,
    ]);
  });

  it('ends with the time of its sign-in, asked again when that comes', () => {
    jest.useFakeTimers();
    try {
      let end = new Date(Date.now() + 60_000);
      const streams = openStreams();
      const response = answer();
      streams.open(response as never, 'phone', 'tab', () => end);
      end = new Date(Date.now() + 120_000);
      jest.advanceTimersByTime(90_000);
      expect(streams.count).toBe(1);
      jest.advanceTimersByTime(40_000);
      expect([response.writableEnded, streams.count]).toEqual([true, 0]);
    } finally {
      jest.useRealTimers();
    }
  });

  it('one change is one line, the same for everyone; who does what is told once for all that changed together', () => {
    let work: (() => void)[] = [];
    const hub = makeHub((later) => work.push(later));
    const lines: string[][] = Array.from({ length: 100 }, () => []);
    lines.forEach((mine, at) => hub.listen(`tab ${at}`, 'Phone', (line) => mine.push(line)));
    const before = lines.reduce((sum, mine) => sum + mine.length, 0);
    expect(before).toBe(100);
    for (let at = 0; at < 100; at += 1) {
      hub.say({ tab: `tab ${at}`, pieceId: null, doing: 'pouring', cupId: null });
    }
    work.forEach((each) => each());
    work = [];
    hub.changed(null, null);
    expect(lines.every((mine) => mine.length === 3)).toBe(true);
  });
});

describe('as it happens', () => {
  const tab = (at: number) => `00000000-0000-4000-8000-00000000000${at}`;

  it('every page is told what changed and who did it, and all others who does what', () => {
    const hub = makeHub((work) => work());
    const told: [Live[], Live[]] = [[], []];
    const listen = (at: number, device: string, to: Live[]) =>
      hub.listen(tab(at), device, (line) => to.push(JSON.parse(line.replace('data: ', '')) as Live));
    const stop = listen(1, 'the computer', told[0]);
    listen(2, 'Phone', told[1]);
    const doing = { tab: tab(2), pieceId: 'p', doing: 'weighing', cupId: 'm' } as const;
    expect(hub.say(doing)).toBe(true);
    hub.changed(tab(2), 'p');
    expect(told[0].slice(-2)).toEqual([
      { kind: 'others', others: [{ ...doing, device: 'Phone' }] },
      { kind: 'changed', tab: tab(2), pieceId: 'p' },
    ]);
    expect(told[1].filter(({ kind }) => kind === 'changed')).toHaveLength(1);
    stop();
    hub.changed(null, null);
    expect(told[0].filter(({ kind }) => kind === 'changed')).toHaveLength(1);
    expect(hub.say({ ...doing, tab: tab(3) })).toBe(false);
  });

  /** The lines that a page hears, up to one that holds the words. */
  async function listening() {
    const server = studio.served.app.listen(0);
    const { port } = server.address() as { port: number };
    const stop = new AbortController();
    const answer = await fetch(`http://127.0.0.1:${port}/api/live?tab=${tab(1)}`, { signal: stop.signal });
    const lines = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
    return {
      until: async (words: string) => {
        let text = '';
        while (!text.includes(words)) text += (await lines.read()).value ?? '';
        return text;
      },
      close: async () => {
        stop.abort();
        server.closeAllConnections();
        await new Promise((resolve) => server.close(resolve));
      },
    };
  }

  it('a write is told with its piece and the tab it came from', async () => {
    const piece = await startPiece(studio);
    const page = await listening();
    const event = {
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      kind: 'note',
      data: { text: 'x' },
    };
    await studio.http
      .post(`/api/pieces/${piece.id}/events`)
      .set('x-icy-ribbon-tab', tab(2))
      .send(event)
      .expect(201);
    const told = { kind: 'changed', tab: tab(2), pieceId: piece.id };
    expect(await page.until('"changed"')).toContain(JSON.stringify(told));
    await page.close();
  });

  it('which pages are given now is told first, so that an old one knows that it is', async () => {
    const folder = join(studio.folder, 'web');
    mkdirSync(folder, { recursive: true });
    const script = (name: string) => `<script type="module" crossorigin src="/assets/${name}.js"></script>`;
    writeFileSync(join(folder, 'index.html'), `<head>${script('frame')}${script('start-1')}</head>`);
    const page = await listening();
    const told = await page.until('"others"');
    expect(told).toContain(JSON.stringify({ kind: 'pages', script: '/assets/start-1.js' }));
    await page.close();
  });
});
