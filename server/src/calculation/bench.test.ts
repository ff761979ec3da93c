import { runBench, runLine } from './bench.ts';

const noInput = () => {
  throw new Error('nobody asked for input');
};

it('lists the calculations and prints their schemas without reading input', async () => {
  const list = await runBench(['list'], noInput);
  expect(list.exitCode).toBe(0);
  expect((list.document as { name: string }[]).map((each) => each.name)).toEqual(
    expect.arrayContaining(['convert', 'mix', 'thin', 'measure-photo']),
  );
  for (const name of ['mix', 'measure-photo']) {
    const schema = await runBench(['schema', name], noInput);
    expect(schema).toMatchObject({ exitCode: 0, document: { type: 'object', title: name } });
  }
});

it('answers one document with one document', async () => {
  const { exitCode, document } = await runBench(['convert'], () => '\uFEFF{"value":1,"from":"in","to":"cm"}');
  expect({ exitCode, document }).toEqual({ exitCode: 0, document: { value: 2.54 } });
});

it.each([
  [[], '', 'name'],
  [['dance'], '{}', 'name'],
  [['schema', 'dance'], '', 'name'],
  [['mix'], 'no json', '(input)'],
  [['measure-photo'], '{"path":""}', 'path'],
  [['mix'], '{"parts":[{"massG":-1,"viscosityPaS":1,"densityGPerMl":1}]}', 'parts.0.massG'],
  [['convert'], '{"value":1,"from":"smidgen","to":"ml"}', 'from'],
])('%j with %s ends with 2 and names the field', async (args, input, field) => {
  expect(await runBench(args, () => input)).toEqual({
    exitCode: 2,
    document: { error: { field, message: expect.any(String) } },
  });
});

it('answers many lines one by one, errors in their places', async () => {
  const lines = ['{"value":1,"from":"in","to":"cm"}', 'no json', '{"value":2,"from":"in","to":"cm"}'];
  const answers = [];
  for (const line of lines) answers.push(await runLine(['convert'], line));
  expect(answers).toEqual([
    { value: 2.54 },
    { error: { field: '(input)', message: expect.any(String) } },
    { value: 5.08 },
  ]);
});

it('a result that is no number names the field that is out of range', async () => {
  const film = { viscosityPaS: 1e308, densityKgM3: 1100, lengthM: 1e308, tiltDeg: 30, seconds: 30 };
  expect(await runBench(['film-left'], () => JSON.stringify(film))).toMatchObject({
    exitCode: 2,
    document: { error: { field: expect.stringMatching(/^(viscosityPaS|lengthM)$/) } },
  });
  const part = (massG: number) => ({ massG, viscosityPaS: 1, densityGPerMl: 1 });
  const mix = { parts: [part(10), part(1.7e308), part(1.7e308)] };
  expect(await runBench(['mix'], () => JSON.stringify(mix))).toMatchObject({
    exitCode: 2,
    document: { error: { field: 'parts.1.massG' } },
  });
});
