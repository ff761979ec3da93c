import { BACKUP_REASONS } from '@icy-ribbon/contract';
import { bytesWords, REASON_WORDS } from './backup.ts';

it.each([
  [0, '0 bytes'],
  [999, '999 bytes'],
  [1500, '1.5 kB'],
  [812_000, '812 kB'],
  [42_700_000, '43 MB'],
  [1_260_000_000, '1.3 GB'],
])('%d bytes read as %s', (bytes, words) => {
  expect(bytesWords(bytes)).toBe(words);
});

it('every reason for a backup has its words', () => {
  for (const reason of BACKUP_REASONS) expect(REASON_WORDS[reason]).not.toBe('');
});
