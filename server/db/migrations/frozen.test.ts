import { inflateRawSync } from 'node:zlib';
import { inputsDigest, looksOf, nameKey, pack, toldOf } from './frozen';

// Each figure was worked out once; whoever has to change one changes what is kept already.

test('names are compared and looked at as they were', () => {
  expect(nameKey('  Isla-Bay ')).toBe('isla bay');
  expect(nameKey('ＯＳＫＡＲ')).toBe('oskar');
  expect(looksOf('Оskar')).toEqual(looksOf('Oskar'));
});

test('what was pressed has the digest that it had', () => {
  expect(inputsDigest({ inputs: [[1, 2, 3, 0]] })).toBe('dc623f3ebd62244fc35cfa2684170430');
});

test('a packed document comes back', () => {
  expect(inflateRawSync(pack('{"name":"Quay Walk"}')).toString()).toBe('{"name":"Quay Walk"}');
});

test('a document of the first form is told of by what it says, and by what was usual', () => {
  expect(toldOf('{"name":"Quay","pieces":[{},{}]}')).toEqual({
    name: 'Quay',
    kind: 'point',
    runner: 'hopper',
    pieces: 2,
    bytes: 32,
  });
  expect(toldOf('{"runner":{"kind":"cart"},"kind":"laps"}')).toMatchObject({
    name: '',
    kind: 'laps',
    runner: 'cart',
    pieces: 0,
  });
});
