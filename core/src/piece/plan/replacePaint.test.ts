import { layOut, LAYOUTS, replacePaint, type Plan } from './index.ts';
import { counting, paint } from '../../../testing/index.ts';

const support = { shape: 'rectangle', widthMm: 300, heightMm: 400, sideDepthMm: 18 } as const;
const paints = [
  paint('white', { role: 'base' }),
  paint('pillow', { role: 'pillow' }),
  paint('rust'),
  paint('rain'),
];
const poured = ({ base, stacks, paths }: Plan) => [
  ...(base?.areas ?? []).map(({ cupId }) => cupId),
  ...[...stacks, ...paths].flatMap(({ layers }) => layers.map(({ cupId }) => cupId)),
];

it.each(LAYOUTS.map(({ name }) => name))(
  'in %s it stands everywhere the other one stood, and nothing else moves',
  (name) => {
    const plan = layOut(name, { support, technique: 'dutch', paints, newId: counting() });
    const after = replacePaint(plan, 'rust', 'moss');
    expect(poured(after)).toEqual(poured(plan).map((id) => (id === 'rust' ? 'moss' : id)));
    expect(poured(after)).toContain('moss');
    expect(replacePaint(after, 'moss', 'rust')).toEqual(plan);
  },
);
