import { createLogger, plainError } from './log';

/** What a log writes. */
function written(act: (logger: ReturnType<typeof createLogger>) => void): string {
  const lines: string[] = [];
  act(createLogger('info', { write: (line: string) => void lines.push(line) }));
  return lines.join('');
}

const SECRET = 'a1b2c3secret';

test('an error of the database is told without the values it was about', () => {
  const error = Object.assign(
    new Error(
      `insert into \`sessions\` (\`digest\`) values ('${SECRET}') - UNIQUE constraint failed: sessions.digest`,
    ),
    { code: 'SQLITE_CONSTRAINT_UNIQUE' },
  );
  expect(plainError(error)).toMatchObject({
    message: 'UNIQUE constraint failed: sessions.digest',
    code: 'SQLITE_CONSTRAINT_UNIQUE',
  });
  const lines = written((logger) => logger.error(error));
  expect(lines).toContain('UNIQUE constraint failed');
  expect(lines).not.toContain(SECRET);
});

test('an error keeps its words and where it came from', () => {
  const told = plainError(new RangeError('No such lantern')) as { message: string; stack: string };
  expect(told.message).toBe('No such lantern');
  expect(told.stack).toMatch(/^\s+at .*log\.test/);
  expect(plainError(SECRET)).toEqual({ message: 'something that is no error was thrown' });
});

test('a request is told without cookies and without what it asks', () => {
  const req = {
    id: 1,
    method: 'GET',
    url: `/api/me?token=${SECRET}`,
    headers: { cookie: `stonehop=${SECRET}` },
  };
  const res = { statusCode: 500, headers: { 'set-cookie': SECRET } };
  const lines = written((logger) => logger.info({ req, res }, 'request'));
  expect(lines).toContain('"url":"/api/me"');
  expect(lines).not.toContain(SECRET);
});
