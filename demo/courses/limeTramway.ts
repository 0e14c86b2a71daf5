import { bestOwnEnd, endsOf, joinTo, layPieces, type PieceInHand } from '@/core/edit';
import { emptyCourse } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import type { DemoCourse } from './demoCourse';
import { shells } from './stones';

const at: PieceInHand['at'] = [0, 0, 0];
const piece = (family: string, params?: PieceInHand['params']): PieceInHand => ({
  family,
  at,
  params,
});

/** The loop's radius, m, and how far its way leads aside. */
const RADIUS = 6;
const ASIDE = 3.4;

/** The tramway from the kilns: up the hill it begins on, down the incline, round the loop, out along the quay by a banked bend. */
const WAY: readonly PieceInHand[] = [
  piece('straight', { length: 14, rise: 1.2 }),
  piece('rise', { length: 10, height: 1.4 }),
  piece('straight', { length: 5 }),
  piece('drop', { length: 30, height: 9 }),
  piece('straight', { length: 16 }),
  piece('loop', { radius: RADIUS }),
  piece('straight', { length: 14 }),
  piece('banked', { turn: 60, radius: 14, bank: 25, side: 'right' }),
  piece('straight', { length: 10 }),
  piece('dip', { length: 10, height: 0.7 }),
  piece('straight', { length: 12 }),
  piece('buffer', { length: 3 }),
];

/** The pieces joined one after the other, each by its first end. */
function joined(): PieceInHand[] {
  const laid: PieceInHand[] = [];
  for (const next of WAY) {
    const before = laid[laid.length - 1];
    if (!before) {
      laid.push({ ...next, at: [0, 0.4, 0] });
      continue;
    }
    const [, end] = endsOf({ ...before, id: 'a' });
    laid.push(joinTo(next, bestOwnEnd(next, end) ?? 0, end));
  }
  return laid;
}

const track = joined();
const [, , , , , loop, out, , quay, , last] = track;
/** A place on the top of a piece's bed, so far along from where it begins. */
const on = ({ at: [x, y, z], turn }: PieceInHand, along: number, up = 0): Vec3 => {
  const a = ((turn?.[1] ?? 0) * Math.PI) / 180;
  const fine = (v: number) => Math.round(v * 1e6) / 1e6;
  return [fine(x + along * Math.cos(a)), fine(y + 0.3 + up), fine(z - along * Math.sin(a))];
};
const cairn = (of: PieceInHand, along: number): PieceInHand => ({
  family: 'cairn',
  at: [...on(of, along)],
  turn: [0, of.turn?.[1] ?? 0, 0],
});

const course = layPieces(
  {
    ...emptyCourse('Lime Tramway', 'free'),
    runner: { kind: 'cart', settings: { topSpeed: 32, acceleration: 9, turnRadius: 5, grip: 2.2 } },
  },
  [
    ...track,
    // On the hill: its bed rises by one in twelve there.
    { family: 'start', at: [...on(track[0], 2, 0.171429)] },
    {
      family: 'boost',
      at: [...on(track[4], 2)],
      size: [5, 1.6, 3],
      params: { force: 60, top: 31 },
    },
    cairn(track[2], 2),
    cairn(out, 5),
    cairn(quay, 5),
    { family: 'lantern', at: [...on(last, 8)], turn: [0, last.turn?.[1] ?? 0, 0] },
    { family: 'kiln', at: [-6, -0.4, 4.5], name: 'Top kiln' },
    { family: 'hut', at: [6, -0.6, -5.5], turn: [0, 20, 0], name: 'Brakeman' },
    { family: 'lugger', at: [108, -8.6, 14], turn: [0, 70, 0] },
    { family: 'boat', at: [60, -8.4, 9], turn: [0, 15, 0] },
    { family: 'buoy', at: [84, -8.3, -16] },
    { family: 'bunting', at: [...on(last, 8, 0.2)], turn: [0, last.turn?.[1] ?? 0, 0] },
    ...shells(
      [...on(track[1], 5, 1.4)],
      [loop.at[0] + 2, loop.at[1] + 2 * RADIUS - 0.9, loop.at[2] - ASIDE / 2],
      [...on(out, 9, 0.7)],
      [...on(quay, 8, 0.7)],
    ),
  ],
);

/** Round the loop, a sixteenth at a time. */
const round: Vec3[] = Array.from({ length: 9 }, (_, i): Vec3 => {
  const k = i / 8;
  const a = 2 * Math.PI * k;
  const inner = RADIUS - 0.3;
  return [
    loop.at[0] + 2 + inner * Math.sin(a),
    loop.at[1] + RADIUS - inner * Math.cos(a),
    loop.at[2] - ASIDE * k * k * (3 - 2 * k),
  ];
});

/** A cart from a standing start on a hill, down an incline, round a loop and through a banked bend. */
export const limeTramway: DemoCourse = {
  slug: 'lime-tramway',
  maker: 'Effie',
  course: {
    ...course,
    picture: { at: [46, 5, 34], look: [66, -2, -2], field: 38 },
    welcome:
      'Let the brake go on the hill. The wheel at the foot of the incline wants all the speed there is.',
    targets: { steady: 14, brisk: 10, swift: 8.6 },
  },
  route: [
    on(track[1], 5, 0.6),
    on(track[2], 2),
    on(track[3], 29, 0),
    on(track[4], 12),
    ...round,
    on(out, 5),
    on(out, 13),
    endsOf({ ...track[7], id: 'b' })[1].at,
    on(quay, 5),
    on(last, 2),
    on(last, 8),
  ],
};
