import * as v from 'valibot';
import { ClaimBody } from '@/core/protocol';
import { nameKey, refuseReserved } from './base/names';

test.each([
  ['Isla M', 'isla  m'],
  ['Ｉｓｌａ', 'isla'],
  ['É́oin'.normalize('NFD'), 'É́oin'.normalize('NFC')],
  ['ﬁnn', 'FINN'],
  ['Mor-ven', 'Mor ven'],
  ["O'Hara", 'O’Hara'],
])('%s and %s are one name', (a, b) => {
  expect(nameKey(a)).toBe(nameKey(b));
});

test.each([
  ['Isla', 'Islay'],
  ['Tam', 'Tàm'],
])('%s and %s are two', (a, b) => {
  expect(nameKey(a)).not.toBe(nameKey(b));
});

test.each(['Somebody', 'ADMIN', 'stone-hop', 'Ｓｔｏｎｅ　Hop', 'Moderator'])(
  '%s is nobody',
  (name) => {
    expect(() => refuseReserved(name)).toThrow(/Nobody can be called/);
  },
);

const takes = (name: string) =>
  v.safeParse(ClaimBody, { name, passphrase: 'grey seals sing' }).success;

test.each(['Ìosla', 'नीलिमा', 'สมชาย', 'Łukasz', '美咲', 'Ngọc Ánh', 'Zoë-Ann', 'R2 North'])(
  '%s is a name',
  (name) => expect(takes(name)).toBe(true),
);
test.each([
  '',
  'x',
  ' ',
  '...',
  'a\u202eb',
  'two\nlines\u0000',
  '<b>bold</b>',
  'x'.repeat(31),
  '\u0301\u0301',
])('%j is none', (name) => expect(takes(name)).toBe(false));
