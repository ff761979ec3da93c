import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { computationDocument } from './document.ts';

it('docs/computation.md says what the registry says; "npm run computation" writes it anew', () => {
  const written = readFileSync(join(__dirname, '../../../docs/computation.md'), 'utf8');
  expect(written).toBe(computationDocument());
});
