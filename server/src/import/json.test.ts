import { parseJson } from './json.ts';

const read = (text: string) => parseJson(Buffer.from(text));

it('reads what JSON.parse reads, brackets and quotes in texts included', () => {
  for (const value of [
    { a: [1, '[{', '\\', '"', '\\"['.repeat(100)] },
    [],
    'a',
    null,
    { 'é[': { b: `${'['.repeat(200)}"` } },
  ]) {
    expect(read(JSON.stringify(value))).toEqual(value);
  }
});

it('does not build what is deeper or of more parts than anything that is written here', () => {
  expect(read(`${'['.repeat(60)}${']'.repeat(60)}`)).toBeDefined();
  expect(read(`${'['.repeat(61)}${']'.repeat(61)}`)).toBeUndefined();
  expect(read('{"a":'.repeat(10_000_000))).toBeUndefined();
  expect(read(`[${'[],'.repeat(12_000_000)}[]]`)).toBeUndefined();
});

it('what is no JSON is nothing', () => {
  for (const text of ['', '{', '"open', '"\\"', '[1,]', '\0']) expect(read(text)).toBeUndefined();
});

it('a file from before cups had one name is read as one of today', () => {
  expect(read('{"data":{"mixId":"a"},"layers":[{"paintId":"b","massG":5}]}')).toEqual({
    data: { cupId: 'a' },
    layers: [{ cupId: 'b', massG: 5 }],
  });
});
