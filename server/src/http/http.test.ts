import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { readConfig } from '../config.ts';
import { openStudio, type Studio } from '../testing/studio.ts';

let studio: Studio;
beforeEach(async () => (studio = await openStudio()));
afterEach(() => studio.close());

const material = { name: 'Sneaked in', kind: 'fluid' };

describe('who may reach and write', () => {
  it('a page elsewhere cannot write', async () => {
    const post = () => studio.http.post('/api/materials').send(material);
    await post().set('Origin', 'http://elsewhere.example').expect(403);
    await post().set('Sec-Fetch-Site', 'cross-site').expect(403);
    await post().set('Origin', 'null').expect(403);
    expect((await studio.http.get('/api/materials').query({ q: 'Sneaked' })).body.total).toBe(0);
  });

  it('its own page can', async () => {
    await studio.http
      .post('/api/materials')
      .set('Host', 'localhost:4480')
      .set('Origin', 'http://localhost:4480')
      .set('Sec-Fetch-Site', 'same-origin')
      .send(material)
      .expect(201);
  });

  it('does not answer to a name that is not its own', async () => {
    await studio.http.get('/api/health').set('Host', 'elsewhere.example').expect(403);
    await studio.http.get('/api/health').set('Host', '[::1]:4480').expect(200);
    for (const port of ['99999', 'abc', '-1', '80:80', '']) {
      await studio.http.get('/api/uploads').set('Host', `localhost:${port}`).expect(403);
    }
  });

  it('asks for the passphrase when there is one', async () => {
    const guarded = await openStudio({ passphrase: 'cold paper white', host: '0.0.0.0' });
    try {
      const asked = await guarded.http.get('/api/health').expect(401);
      expect(asked.headers['www-authenticate']).toMatch(/^Basic/);
      await guarded.http.get('/api/health').auth('anyone', 'warm paper').expect(401);
      await guarded.http.get('/api/health').auth('anyone', 'cold paper white').expect(200);
    } finally {
      await guarded.close();
    }
  });
});

it('whoever guesses at the passphrase, a device that is signed in is not kept out', async () => {
  const guarded = await openStudio({ passphrase: 'cold paper white', host: '0.0.0.0', isLoopback: false });
  try {
    const signedIn = guarded.http;
    const mine = await signedIn
      .post('/api/devices/invitations')
      .auth('me', 'cold paper white')
      .send({ keepDays: 30 })
      .expect(201);
    const joined = await guarded.http
      .post('/join')
      .type('form')
      .send({ code: (mine.body as { code: string }).code, name: 'Phone' })
      .expect(303);
    const cookie = String(joined.headers['set-cookie']).split(';')[0]!;
    const answers: number[] = [];
    for (let turn = 0; turn < 25; turn += 1) {
      answers.push((await guarded.http.get('/api/health').auth('me', `guess ${turn}`)).status);
    }
    expect([answers[0], answers.at(-1)]).toEqual([401, 429]);
    await guarded.http.get('/api/health').set('Cookie', cookie).expect(200);
  } finally {
    await guarded.close();
  }
});

describe('what it sends', () => {
  it('a content policy that allows nothing from outside, with a nonce that is new each time', async () => {
    mkdirSync(join(studio.folder, 'web'));
    writeFileSync(join(studio.folder, 'web/index.html'), '<meta name="nonce" content="%NONCE%">');
    const pages = [
      await studio.http.get('/mix/some-piece').expect(200),
      await studio.http.get('/').expect(200),
    ];
    const policies = pages.map((page) => String(page.headers['content-security-policy']));
    for (const [index, policy] of policies.entries()) {
      expect(policy).toContain("default-src 'none'");
      expect(policy).toContain("script-src 'self'");
      // The film's step is compiled: WebAssembly may be instantiated, nothing may be evaluated.
      expect(policy.replace("'wasm-unsafe-eval'", '')).not.toContain('unsafe');
      expect(policy).not.toMatch(/https?:/);
      const nonce = policy.match(/'nonce-([^']+)'/)?.[1];
      expect(pages[index]?.text).toContain(`content="${nonce}"`);
    }
    expect(policies[0]).not.toBe(policies[1]);
    expect(pages[0]?.headers['x-powered-by']).toBeUndefined();
    expect(pages[0]?.headers['x-content-type-options']).toBe('nosniff');
  });

  it('problems as RFC 9457 documents', async () => {
    const nowhere = await studio.http.get('/api/nowhere').expect(404);
    expect(nowhere.headers['content-type']).toMatch('application/problem+json');
    expect(nowhere.body).toMatchObject({ type: '/problems/not-found', status: 404 });
    const broken = await studio.http
      .post('/api/materials')
      .set('Content-Type', 'application/json')
      .send('{"name":')
      .expect(400);
    expect(broken.body.detail).toMatch(/not valid JSON/);
    const large = await studio.http
      .post('/api/materials')
      .send({ ...material, note: 'x'.repeat(1_200_000) })
      .expect(413);
    expect(large.body.status).toBe(413);
  });

  it('its own faults without their insides, and logs them', async () => {
    await studio.db.schema.dropTable('judgement').execute();
    const answer = await studio.http.get('/api/pieces').expect(500);
    expect(answer.body.detail).not.toMatch(/judgement|SQL/i);
    expect(studio.faults).toHaveLength(1);
  });

  it('OpenAPI, health and the calculations', async () => {
    expect((await studio.http.get('/api/openapi.json').expect(200)).body.openapi).toBe('3.1.0');
    expect((await studio.http.get('/api/health').expect(200)).body.status).toBe('ok');
    const list = await studio.http.get('/api/calculations').expect(200);
    expect(list.body.map((each: { name: string }) => each.name)).toEqual(
      expect.arrayContaining(['convert', 'mix', 'thin']),
    );
    const run = await studio.http
      .post('/api/calculations/convert')
      .send({ value: 1, from: 'oz', to: 'g' })
      .expect(200);
    expect(run.body.value).toBeCloseTo(28.349523125, 9);
    const bad = await studio.http
      .post('/api/calculations/convert')
      .send({ value: 1, from: 'oz', to: 'mm' })
      .expect(422);
    expect(bad.body.errors[0].path).toBe('to');
  });
});

describe('what the build has compressed', () => {
  it('goes to browsers that read it, under its own type; others get it whole', async () => {
    const folder = join(studio.folder, 'web/assets');
    mkdirSync(folder, { recursive: true });
    writeFileSync(join(folder, 'page-1.js'), 'let whole;');
    writeFileSync(join(folder, 'page-1.js.br'), brotliCompressSync('let whole;'));
    const small = await studio.http.get('/assets/page-1.js').set('Accept-Encoding', 'gzip, br').expect(200);
    expect(small.headers).toMatchObject({ 'content-encoding': 'br', vary: 'Accept-Encoding' });
    expect(small.headers['content-type']).toContain('text/javascript');
    expect(small.headers['cache-control']).toContain('immutable');
    const whole = await studio.http.get('/assets/page-1.js').set('Accept-Encoding', 'identity').expect(200);
    expect([whole.headers['content-encoding'], whole.text]).toEqual([undefined, 'let whole;']);
    await studio.http.get('/assets/none.js').set('Accept-Encoding', 'br').expect(404);
  });
});

describe('how it is set up', () => {
  it('listens on this machine only, unless a passphrase guards it', () => {
    expect(readConfig({}, '/app/server')).toMatchObject({
      host: '127.0.0.1',
      port: 4480,
      demo: false,
      passphrase: null,
    });
    expect(() => readConfig({ ICY_RIBBON_HOST: '0.0.0.0' }, '/app')).toThrow(/ICY_RIBBON_PASSPHRASE/);
    expect(() =>
      readConfig({ ICY_RIBBON_HOST: '0.0.0.0', ICY_RIBBON_PASSPHRASE: 'short' }, '/app'),
    ).toThrow();
    const open = {
      ICY_RIBBON_HOST: '0.0.0.0',
      ICY_RIBBON_PASSPHRASE: 'long enough',
      ICY_RIBBON_HOSTS: 'Studio.local, ',
    };
    expect(readConfig(open, '/app')).toMatchObject({ allowedHosts: ['studio.local'] });
  });

  it('says which port it cannot use', () => {
    expect(() => readConfig({ ICY_RIBBON_PORT: 'ninety' }, '/app')).toThrow(/ICY_RIBBON_PORT/);
  });
});
