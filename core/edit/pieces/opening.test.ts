import { emptyCourse } from '../../course';
import { layPieces, type PieceInHand } from './lay';
import { setOpening } from './opening';

const laid = (shells: number, amount?: number) =>
  layPieces(emptyCourse('Opening', 'free'), [
    { family: 'lantern', at: [0, 0, 0], params: amount === undefined ? undefined : { amount } },
    ...Array.from({ length: shells }, (_, i): PieceInHand => ({ family: 'shell', at: [i, 1, 0] })),
  ]);
const params = (shells: number, opens: string, amount?: number) => {
  const course = laid(shells, amount);
  return setOpening(course, new Set([course.pieces[0].id]), opens).pieces[0].params;
};

test('who chooses that enough has to be gathered is asked for what is laid', () => {
  expect(params(3, 'count')).toEqual({ opens: 'count', amount: 3 });
  expect(params(2, 'worth')).toEqual({ opens: 'worth', amount: 2 });
});

test('a figure of their own stays, and with nothing laid the usual one', () => {
  expect(params(3, 'count', 2)).toEqual({ opens: 'count', amount: 2 });
  expect(params(0, 'count')).toEqual({ opens: 'count' });
});

test('all else it opens by asks for nothing', () => {
  expect(params(3, 'link')).toEqual({ opens: 'link' });
});
