import Database from 'better-sqlite3';
import { keepStatements } from './statements';

/** A database that counts what it compiles. */
function counting() {
  const db = new Database(':memory:');
  const compiled: string[] = [];
  const prepare = db.prepare.bind(db);
  db.prepare = ((sql: string) => {
    compiled.push(sql);
    return prepare(sql);
  }) as typeof db.prepare;
  keepStatements(db);
  return { db, compiled };
}

test('a statement is compiled once and answers for the table as it is', () => {
  const { db, compiled } = counting();
  db.exec('create table stones (name)');
  const all = () => db.prepare('select * from stones').all();
  expect(all()).toEqual([]);
  db.prepare('insert into stones values (?)').run('Gull');
  db.exec('alter table stones add column high default 2');
  expect(all()).toEqual([{ name: 'Gull', high: 2 }]);
  expect(compiled.filter((sql) => sql.startsWith('select'))).toHaveLength(1);
});

test('of too many the one asked for least of late goes, and works again when it is asked for', () => {
  const { db, compiled } = counting();
  const ask = (n: number) => db.prepare(`select ${n} as n`).get();
  for (let n = 0; n < 500; n++) ask(n);
  ask(0);
  ask(500);
  compiled.length = 0;
  expect([ask(0), ask(1)]).toEqual([{ n: 0 }, { n: 1 }]);
  expect(compiled).toEqual(['select 1 as n']);
});

test('what cannot be compiled is refused each time', () => {
  const { db } = counting();
  for (let i = 0; i < 2; i++) expect(() => db.prepare('select from')).toThrow(/syntax/);
});
