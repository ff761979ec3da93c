import { api as addresses } from './addresses.ts';
import { allEndpoints, api, hasPart } from './index.ts';

const groups = Object.values(addresses).map((entry) => ('path' in entry ? [entry] : Object.values(entry)));

it('there is an address for every call, in the same order', () => {
  expect(Object.keys(addresses)).toEqual(Object.keys(api));
  const ofCalls = allEndpoints().map(({ method, path, body }) => ({ method, path, hasBody: hasPart(body) }));
  expect(groups.flat()).toEqual(ofCalls);
});

it('addresses are plain data: the build of the pages writes them down', () => {
  expect(JSON.parse(JSON.stringify(addresses))).toEqual(addresses);
});
