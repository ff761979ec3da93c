import { holdsOldNames, withNewNames } from './plain/oldNames.ts';

it('a cup has one name, in events, layers, readings and requests; what it is made of is a material', () => {
  const old = {
    events: [{ kind: 'layer', data: { mixId: 'a', mg: 5, note: '"mixId"' } }],
    plan: {
      base: { areas: [{ paintId: 'a', share: 1 }] },
      stacks: [{ layers: [{ id: 'l', paintId: 'b', massG: null }] }],
      planned: [{ id: 'b', recipeId: 'D2', paintId: 'white' }],
    },
    mixes: [{ recipe: { id: 'x', blend: [{ paintId: 'white', parts: 2 }] } }],
    faults: [{ mixId: null }],
  };
  expect(withNewNames(old)).toEqual({
    events: [{ kind: 'layer', data: { cupId: 'a', mg: 5, note: '"mixId"' } }],
    plan: {
      base: { areas: [{ cupId: 'a', share: 1 }] },
      stacks: [{ layers: [{ id: 'l', cupId: 'b', massG: null }] }],
      planned: [{ id: 'b', recipeId: 'D2', materialId: 'white' }],
    },
    mixes: [{ recipe: { id: 'x', blend: [{ materialId: 'white', parts: 2 }] } }],
    faults: [{ cupId: null }],
  });
});

it('asks only for names, not for what someone wrote', () => {
  expect(holdsOldNames('{"mixId":"a"}')).toBe(true);
  expect(holdsOldNames(JSON.stringify({ note: 'the "mixId" of "paintId"' }))).toBe(false);
});
