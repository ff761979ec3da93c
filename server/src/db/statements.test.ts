import SqliteFile from 'better-sqlite3';
import { keepingStatements } from './statements.ts';

const TABLE = 'CREATE TABLE cup (id INTEGER PRIMARY KEY, name TEXT)';

function opened() {
  const file = new SqliteFile(':memory:');
  const prepare = jest.spyOn(file, 'prepare');
  const kept = keepingStatements(file);
  kept.prepare(TABLE).run([]);
  kept.prepare('INSERT INTO cup (name) VALUES (?)').run(['ember']);
  kept.prepare('INSERT INTO cup (name) VALUES (?)').run(['slate']);
  const timesPrepared = (text: string) => prepare.mock.calls.filter(([said]) => said === text).length;
  return { kept, timesPrepared };
}

it('prepares a statement once, however often it runs', () => {
  const { kept, timesPrepared } = opened();
  const text = 'SELECT name FROM cup WHERE id = ?';
  expect([1, 2, 1].map((id) => kept.prepare(text).all([id]))).toEqual([
    [{ name: 'ember' }],
    [{ name: 'slate' }],
    [{ name: 'ember' }],
  ]);
  expect(timesPrepared(text)).toBe(1);
  expect(timesPrepared('INSERT INTO cup (name) VALUES (?)')).toBe(1);
});

it('after a change of the schema everything is prepared anew', () => {
  const { kept } = opened();
  expect(kept.prepare('SELECT * FROM cup WHERE id = 1').all([])).toEqual([{ id: 1, name: 'ember' }]);
  kept.prepare('ALTER TABLE cup ADD COLUMN grams REAL').run([]);
  expect(kept.prepare('SELECT * FROM cup WHERE id = 1').all([])).toEqual([
    { id: 1, name: 'ember', grams: null },
  ]);
});

it('a statement whose rows are still being read is left alone', () => {
  const { kept } = opened();
  const text = 'SELECT id FROM cup ORDER BY id';
  const rows = kept.prepare(text).iterate([]);
  expect(rows.next().value).toEqual({ id: 1 });
  expect(kept.prepare(text).all([])).toHaveLength(2);
  expect(rows.next().value).toEqual({ id: 2 });
  rows.return?.();
});

it('keeps no more than it may', () => {
  const { kept, timesPrepared } = opened();
  const first = 'SELECT id FROM cup WHERE id = 0';
  for (let id = 0; id <= 400; id += 1) kept.prepare(`SELECT id FROM cup WHERE id = ${id}`).all([]);
  kept.prepare(first).all([]);
  expect(timesPrepared(first)).toBe(2);
});
