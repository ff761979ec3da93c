import { runBench } from './bench.ts';

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
