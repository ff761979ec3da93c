import {
  allEndpoints,
  judgementPutSchema,
  materialCreateSchema,
  openApiDocument,
  pieceListQuery,
  pourEventSchema,
  supportCreateSchema,
} from './index.ts';

const messageAt = (
  result: { error?: { issues: readonly { path: PropertyKey[]; message: string }[] } },
  path: string,
) => result.error?.issues.find((issue) => issue.path.join('.') === path)?.message;

describe('the API as a whole', () => {
  it('every call has an address of its own', () => {
    const addresses = allEndpoints().map((each) => `${each.method} ${each.path}`);
    expect(new Set(addresses).size).toBe(addresses.length);
    expect(addresses.length).toBeGreaterThan(30);
  });

  it('every parameter in an address is described', () => {
    for (const endpoint of allEndpoints()) {
      const named = [...endpoint.path.matchAll(/:(\w+)/g)].map((match) => match[1]);
      const shape = 'shape' in endpoint.params ? Object.keys(endpoint.params.shape as object) : [];
      expect(shape.sort()).toEqual(named.sort());
    }
  });

  it('writes an OpenAPI 3.1 document with path parameters, bodies and problems', () => {
    const document = openApiDocument('1.2.3') as {
      openapi: string;
      paths: Record<
        string,
        Record<string, { parameters: { name: string; in: string }[]; responses: object }>
      >;
    };
    expect(document.openapi).toBe('3.1.0');
    const add = document.paths['/api/mixes/{id}/additions']!.post!;
    expect(add.parameters).toEqual([expect.objectContaining({ name: 'id', in: 'path' })]);
    expect(JSON.stringify(add.responses)).toContain('application/problem+json');
    expect(document.paths['/api/pieces']!.get!.parameters.map((each) => each.name)).toContain('technique');
  });
});

describe('messages say what to change', () => {
  it('a support without a name, and a round one with two sizes', () => {
    const given = { name: '', shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 };
    expect(messageAt(supportCreateSchema.safeParse(given), 'name')).toBe('Give it a name.');
    const round = { ...given, name: 'Round', shape: 'round' };
    expect(messageAt(supportCreateSchema.safeParse(round), 'heightMm')).toMatch(/diameter/);
    expect(messageAt(supportCreateSchema.safeParse({ ...given, widthMm: null }), 'widthMm')).toBe(
      'Enter the length.',
    );
  });

  it('a slant beyond straight down', () => {
    const event = {
      id: '3f0e8a52-1f5b-4b61-9d2c-6f8d1f3f9a10',
      at: '2026-03-01T09:30:00Z',
      kind: 'pass',
      data: {
        tool: 'mouth',
        setting: 'soft',
        distanceMm: 100,
        slantDeg: 120,
        directionDeg: 0,
        seconds: 2,
        from: null,
      },
    };
    expect(messageAt(pourEventSchema.safeParse(event), 'data.slantDeg')).toMatch(/90 is straight down/);
    expect(pourEventSchema.safeParse({ ...event, data: { ...event.data, slantDeg: 25 } }).success).toBe(true);
  });

  it('a rating off its scale and a cell of no size', () => {
    const judged = {
      cells: 5,
      lacing: null,
      petals: 1,
      mud: 0,
      cellSizeMm: 0,
      tryNext: '',
      note: '',
      version: 0,
    };
    const result = judgementPutSchema.safeParse(judged);
    expect(messageAt(result, 'cells')).toBeDefined();
    expect(messageAt(result, 'cellSizeMm')).toMatch(/0.1 mm/);
  });
});

it('fills in what a material leaves out, and folds its color', () => {
  expect(
    materialCreateSchema.parse({ name: ' Rust ', kind: 'artist-tube', colorHex: '#9C4A2C' }),
  ).toMatchObject({
    name: 'Rust',
    colorHex: '#9c4a2c',
    finish: 'plain',
    note: '',
  });
});

it('reads a list query from its text form', () => {
  expect(pieceListQuery.parse({ page: '2', technique: 'bloom' })).toMatchObject({
    page: 2,
    pageSize: 50,
    sort: 'newest',
  });
  expect(pieceListQuery.safeParse({ pageSize: '5000' }).success).toBe(false);
});
