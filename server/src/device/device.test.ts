import { mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { get } from 'node:https';
import type { Devices as Shown, Invitation, Live } from '@icy-ribbon/contract';
import express from 'express';
import request from 'supertest';
import { readConfig } from '../config.ts';
import { signInGuard } from '../http/guard.ts';
import { problemHandler } from '../http/problem.ts';
import { openStudio, startPiece, type Studio } from '../testing/studio.ts';
import { certificateFor, fingerprintOf } from './certificate.ts';
import { tokenOf } from './cookie.ts';
import { openDevices } from './devices.ts';
import { openInvitations } from './invitations.ts';
import { joinRoutes } from './join.ts';
import { makeHub } from './live.ts';

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
    const { code } = invitations.make(1);
    const joined = await request(app).post('/join').type('form').send({ code, name: 'Phone' }).expect(303);
    const cookie = cookieOf(joined);
    await request(app).get('/api/pieces').set('Cookie', cookie).expect(200);
    await devices.signOut(devices.list()[0]!.id);
    await request(app).get('/api/pieces').set('Cookie', cookie).expect(401);
  });

  it('guessing codes is slowed down, and makes them void', async () => {
    const { app, invitations } = fromElsewhere(studio.folder);
    invitations.make(30);
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
    const { code } = invitations.make(1);
    const { token } = await devices.join('Phone', 1);
    now = new Date('2026-05-01T10:05:01Z');
    expect(invitations.take(code)).toBeUndefined();
    expect(devices.find(token)).toBeDefined();
    now = new Date('2026-05-02T10:00:01Z');
    expect(devices.find(token)).toBeUndefined();
    expect(openDevices(join(studio.folder, 'old.json'), clock).list()).toEqual([]);
  });

  it('ten wrong codes make the open ones void', () => {
    const invitations = openInvitations();
    const { code } = invitations.make(1);
    for (let at = 0; at < 10; at += 1) expect(invitations.take('WRONG')).toBeUndefined();
    expect(invitations.take(code)).toBeUndefined();
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

describe('as it happens', () => {
  const tab = (at: number) => `00000000-0000-4000-8000-00000000000${at}`;

  it('every page is told what changed and who did it, and all others who does what', () => {
    const hub = makeHub();
    const told: [Live[], Live[]] = [[], []];
    const stop = hub.listen(tab(1), 'the computer', (live) => told[0].push(live));
    hub.listen(tab(2), 'Phone', (live) => told[1].push(live));
    const doing = { tab: tab(2), pieceId: 'p', doing: 'weighing', mixId: 'm' } as const;
    expect(hub.say(doing)).toBe(true);
    hub.changed(tab(2), 'p');
    expect(told[0].slice(-2)).toEqual([
      { kind: 'others', others: [{ ...doing, device: 'Phone' }] },
      { kind: 'changed', tab: tab(2), pieceId: 'p' },
    ]);
    expect(told[1].filter(({ kind }) => kind === 'others').at(-1)).toEqual({ kind: 'others', others: [] });
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
