import fc from 'fast-check';
import { layPieces } from '../edit';
import { CourseError, emptyCourse, MAX_COURSE_BYTES } from '../course';
import { fileNameOf, fromShareCode, openText, ShareCodeError, toCourseFile, toShareCode } from '.';

const course = layPieces(emptyCourse('Éider Walk'), [
  { family: 'start', at: [0, 0, 0] },
  { family: 'slab', at: [0, -0.5, 0], look: { material: 'moss' } },
]);

test('a course comes back the same from its file and its code, with fields unknown here', () => {
  const other = { ...course, painter: { hue: 3 } };
  expect(openText(toCourseFile(other))).toEqual(other);
  expect(openText(`\n ${toShareCode(other).replace(/(.{20})/g, '$1\n')}`)).toEqual(other);
  expect(fileNameOf(course)).toBe('eider-walk.stonehop.json');
});

test('a code with any one letter changed is refused', () => {
  const code = toShareCode(course);
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: code.length - 1 }),
      fc.constantFrom('A', 'b', '7', '_'),
      (at, letter) => {
        fc.pre(code[at] !== letter && code[at] !== '.');
        expect(() => fromShareCode(code.slice(0, at) + letter + code.slice(at + 1))).toThrow(
          ShareCodeError,
        );
      },
    ),
    { numRuns: 200, seed: 1 },
  );
  expect(() => fromShareCode(code.slice(0, -3))).toThrow(/wrong or missing/);
  expect(() => fromShareCode('hop9.aa.bb')).toThrow(/newer/);
});

test.each([
  ['cut off', toCourseFile(course).slice(0, 90), /cut off/, 'broken'],
  ['something else', '{"format":"x"}', /not a Stone Hop course/, 'broken'],
  ['too large', ' '.repeat(MAX_COURSE_BYTES + 1), /at most 8 MB/, 'broken'],
  ['newer', JSON.stringify({ ...course, version: 7 }), /newer/, 'newer'],
])('a file that is %s opens nothing and says so', (_, text, message, kind) => {
  const open = () => openText(text);
  expect(open).toThrow(message);
  try {
    open();
  } catch (error) {
    expect((error as CourseError).kind).toBe(kind);
  }
});

test('a broken field is named with its place', () => {
  const broken = structuredClone(course) as { pieces: { size?: unknown; id: string }[] };
  broken.pieces[1].size = [1, -2, 1];
  expect(() => openText(JSON.stringify(broken))).toThrow('pieces.1.size.1 is smaller than 0.05 m.');
  broken.pieces[1] = { ...broken.pieces[1], size: [1, 1, 1], id: broken.pieces[0].id };
  expect(() => openText(JSON.stringify(broken))).toThrow(/stands for two pieces/);
});
