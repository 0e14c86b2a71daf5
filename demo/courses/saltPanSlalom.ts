import { bestOwnEnd, endsOf, joinTo, layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse, type Piece } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import type { DemoCourse } from './demoCourse';
import { SKETCH } from './saltPanRound';
import round from './saltPanTrack.json';
import { shells } from './stones';

const withId = (piece: PieceInHand, id: string): Piece => ({ ...piece, id });

/** A piece joined with its first end to the last end of another. */
const after = (before: PieceInHand, piece: PieceInHand, end = 1): PieceInHand => {
  const to = endsOf(withId(before, 'a'))[end];
  return joinTo(piece, bestOwnEnd(piece, to) ?? 0, to);
};

const at: PieceInHand['at'] = [0, 0, 0];
const bend = (side: 'left' | 'right'): PieceInHand => ({
  family: 'bend',
  at,
  params: { turn: 30, radius: 8, ...(side === 'right' ? { side } : {}) },
});

/** A split with two ways of the same reach, one over a crest, and the join they end in. */
function fork(from: PieceInHand): PieceInHand[] {
  const split = after(from, { family: 'split', at });
  const left = [bend('right'), { family: 'straight', at, params: { length: 6 } }, bend('right')];
  const right = [bend('left'), { family: 'crest', at }, bend('left')];
  const along = (first: PieceInHand, end: number, way: PieceInHand[]) => {
    let before = first;
    return way.map((piece, i) => (before = after(before, piece, i === 0 ? end : 1)));
  };
  const [over, under] = [along(split, 1, left), along(split, 2, right)];
  // The join is entered by its left arm from the left way; its right arm then meets the other.
  const last = endsOf(withId(over[2], 'a'))[1];
  const arms = [1, 2].map((own) => joinTo({ family: 'join', at }, own, last));
  const meet = endsOf(withId(under[2], 'b'))[1].at;
  const off = (piece: PieceInHand) =>
    Math.min(
      ...endsOf(withId(piece, 'c')).map((end) =>
        Math.hypot(end.at[0] - meet[0], end.at[2] - meet[2]),
      ),
    );
  return [split, ...over, ...under, off(arms[0]) < off(arms[1]) ? arms[0] : arms[1]];
}

/** The fitted round with its longest straight stretch made a fork of two ways. */
function track(): PieceInHand[] {
  const pieces = round as unknown as PieceInHand[];
  // A fit begins in the middle of the straightest stretch: its straights are the first and the last.
  const isStraight = (piece: PieceInHand) => piece.family === 'straight' && !piece.params?.rise;
  let head = 0;
  while (isStraight(pieces[head])) head++;
  let tail = pieces.length;
  while (isStraight(pieces[tail - 1])) tail--;
  const stretch = [...pieces.slice(tail), ...pieces.slice(0, head)];
  const length = stretch.reduce((sum, piece) => sum + Number(piece.params?.length ?? 4), 0);
  const parts = fork({ family: 'straight', at, params: { length: 4 } });
  const [begin, end] = [4, endsOf(withId(parts[parts.length - 1], 'e'))[0].at[0]];
  const rest = (length - (end - begin)) / 2;
  if (rest < 1) throw new Error(`The stretch of ${length.toFixed(1)} m is too short for the fork.`);
  const piece = (metres: number): PieceInHand => ({
    family: 'straight',
    at,
    params: { length: metres },
  });
  const lead = after(pieces[tail - 1], piece(rest));
  const forked = fork(lead);
  const run = after(forked[forked.length - 1], piece(rest), 0);
  return [lead, ...forked, run, ...pieces.slice(head, tail)];
}

function course() {
  const laid = track();
  const place = (i: number): { at: Vec3; turn: number } => ({
    at: laid[i].at,
    turn: laid[i].turn?.[1] ?? 0,
  });
  const top = (p: Vec3): [number, number, number] => [
    p[0],
    Math.round((p[1] + 0.3) * 1e6) / 1e6,
    p[2],
  ];
  const cairn = (i: number): PieceInHand => ({
    family: 'cairn',
    at: top(place(i).at),
    turn: [0, place(i).turn, 0],
  });
  const first = place(0);
  const [a, b, c] = [0.3, 0.52, 0.76].map((k) => Math.round(9 + (laid.length - 9) * k));
  return layPieces(
    {
      ...emptyCourse('Salt Pan Slalom', 'free'),
      kind: 'laps',
      laps: 2,
      runner: { kind: 'cart', settings: { topSpeed: 10, turnRadius: 2.5, grip: 1.8 } },
    },
    [
      ...laid,
      {
        family: 'start',
        at: top([first.at[0] + 1.2, first.at[1], first.at[2]]),
        turn: [0, first.turn, 0],
      },
      {
        family: 'lantern',
        at: top([first.at[0] + 3, first.at[1], first.at[2]]),
        turn: [0, first.turn, 0],
      },
      cairn(a),
      cairn(b),
      cairn(c),
      ...[0.14, 0.68].map((k): PieceInHand => {
        const spot = place(Math.round(9 + (laid.length - 9) * k));
        return {
          family: 'boost',
          at: top(spot.at),
          turn: [0, spot.turn, 0],
          size: [3, 1.5, 3],
          params: { force: 18, top: 13 },
        };
      }),
      { family: 'hut', at: [30, -0.8, -12], turn: [0, 200, 0], name: 'Pan house' },
      { family: 'lugger', at: [-8, -1.2, -22], turn: [0, 30, 0] },
      { family: 'boat', at: [4, -0.9, 9], turn: [0, -20, 0] },
      { family: 'banner', at: [first.at[0] + 3, 0.2, 3], turn: [0, 90, 0] },
      { family: 'bunting', at: [8, 0, 4] },
      { family: 'reeds', at: [14, -1, -18] },
      { family: 'reeds', at: [-30, -1, -22] },
      { family: 'buoy', at: [50, -1, -13] },
      ...shells(
        ...[0.2, 0.4, 0.62, 0.88].map((k): Vec3 => {
          const p = place(Math.round(9 + (laid.length - 9) * k)).at;
          return [
            Math.round(p[0] * 100) / 100,
            Math.round((p[1] + 0.9) * 100) / 100,
            Math.round(p[2] * 100) / 100,
          ];
        }),
      ),
    ],
  );
}

const slalom = course();

/** A round over the salt pans, fitted to a sketch, with two ways at the fork. */
export const saltPanSlalom: DemoCourse = {
  slug: 'salt-pan-slalom',
  maker: 'Oona',
  course: {
    ...slalom,
    sketch: { points: SKETCH.map(([x, y, z]) => [x, y, z]), closed: true, shown: 0 },
    picture: { at: [-55, 9, 20], look: [0, 0, -21], field: 24 },
    welcome: 'Twice round the pans. Over the crest or past it, as you like.',
    targets: { steady: 95, brisk: 80, swift: 70 },
  },
  route: slalomRoute(),
};

/** Twice round by the left way, place by place. */
function slalomRoute(): Vec3[] {
  const tracks = slalom.pieces.filter(({ family }) =>
    ['straight', 'bend', 'split', 'join', 'crest'].includes(family),
  );
  // Without the way over the crest, which is laid after the other one.
  const round = tracks.filter((_, i) => i < 5 || i > 7);
  const places = round.flatMap((piece) => {
    const ends = endsOf(piece);
    const out = piece.family === 'join' ? ends[0] : ends[1];
    return [out.at];
  });
  const begin: Vec3 = slalom.pieces.find(({ family }) => family === 'lantern')!.at;
  return [...places, begin, ...places.slice(1), begin].map(([x, y, z]): Vec3 => [x, y, z]);
}
