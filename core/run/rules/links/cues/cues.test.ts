import { layPieces, newCue, type PieceInHand } from '../../../../edit';
import {
  CUE_TRAITS,
  CUES,
  emptyCourse,
  type Course,
  type Cue,
  type CueKind,
} from '../../../../course';
import { buildWorld, initialState, tick } from '../../..';

const FLOOR: PieceInHand = { family: 'slab', at: [10, -1, 0], size: [60, 1, 6] };
const START: PieceInHand = { family: 'start', at: [0, 0, 0] };
const ahead = { x: 16, z: 0, jump: false };

/** Seconds at which a link with a cue acts while the runner goes straight on for so long. */
function given(
  pieces: PieceInHand[],
  cue: Cue,
  { seconds = 6, ...more }: Partial<Course> & { seconds?: number } = {},
): number[] {
  const laid = layPieces(emptyCourse('Cues', 'free'), [FLOOR, START, ...pieces]);
  const course: Course = {
    ...laid,
    ...more,
    links: [{ id: 'l1', cue, effects: [{ kind: 'message', text: 'Now' }] }],
  };
  const world = buildWorld(course);
  const state = initialState(world, 7);
  const said: number[] = [];
  for (let i = 0; i < seconds * 120; i++) {
    tick(world, state, ahead, ({ kind, time }) => kind === 'message' && said.push(time));
  }
  return said;
}

const LOW: PieceInHand = { family: 'block', at: [4, -0.95, 0], size: [2, 1, 2] };
const WALL: PieceInHand = { family: 'ashlar', at: [6, 0, 0], breaks: { touches: 1 } };
const shell = (x: number): PieceInHand => ({ family: 'shell', at: [x, 0.2, 0] });
const zone = (x: number): PieceInHand => ({ family: 'touch', at: [x, 0, 0], size: [2, 2, 4] });
const on = (kind: CueKind, more: Partial<Cue> = {}): Cue => ({ ...newCue(kind, ['p3']), ...more });

/** For each kind of cue when it is given, and when it is not. A kind without a proof does not compile. */
const PROOFS: Record<CueKind, () => void> = {
  touched: () => {
    expect(given([LOW], on('touched'))).toHaveLength(1);
    expect(given([{ ...LOW, at: [4, 0, 30] }], on('touched'))).toEqual([]);
  },
  left: () => {
    const [touched] = given([LOW], on('touched'));
    const [left] = given([LOW], on('left'));
    // Two metres at six a second, and the ticks by which one knows.
    expect(left - touched).toBeGreaterThan(0.25);
    expect(left - touched).toBeLessThan(0.6);
  },
  stood: () => {
    const [touched] = given([LOW], on('touched'));
    const [stood] = given([LOW], on('stood', { seconds: 0.2 }));
    expect(stood - touched).toBeCloseTo(0.2, 1);
    expect(given([LOW], on('stood', { seconds: 3 }))).toEqual([]);
  },
  gathered: () => {
    const three = [3, 5, 7].map(shell);
    const [second] = given(three, { kind: 'gathered', count: 2 });
    const [third] = given(three, { kind: 'gathered', count: 3 });
    expect(third - second).toBeCloseTo(2 / 6, 1);
    expect(given(three, { kind: 'gathered', count: 4 })).toEqual([]);
  },
  broken: () => {
    expect(given([WALL], on('broken'))).toHaveLength(1);
    expect(given([{ ...WALL, breaks: { touches: 99 } }], on('broken'))).toEqual([]);
  },
  'all-gathered': () => {
    const two = [shell(3), shell(6)];
    const both: Cue = { kind: 'all-gathered', pieces: ['p3', 'p4'] };
    expect(given(two, both)).toHaveLength(1);
    expect(given([shell(3), { ...shell(6), at: [6, 0, 30] }], both)).toEqual([]);
  },
  start: () => expect(given([], { kind: 'start' })).toEqual([1 / 120]),
  checkpoint: () => {
    const cairn: PieceInHand = { family: 'cairn', at: [5, 0, 0] };
    expect(given([cairn], on('checkpoint'))).toHaveLength(1);
    // Any of them, where none is named.
    expect(given([cairn], { kind: 'checkpoint' })).toHaveLength(1);
    expect(given([], { kind: 'checkpoint' })).toEqual([]);
  },
  beat: () => {
    const tempo = { beats: 60 };
    const each = given([], { kind: 'beat', count: 1 }, { tempo });
    const others = given([], { kind: 'beat', count: 2 }, { tempo });
    expect(each.length - 2 * others.length).toBeLessThanOrEqual(1);
    each.slice(1).forEach((time, i) => expect(time - each[i]).toBeCloseTo(1, 6));
  },
  timer: () => expect(given([], { kind: 'timer', seconds: 2 })).toEqual([2, 4, 6]),
  worth: () => {
    const pearls = [3, 5].map((x): PieceInHand => ({ family: 'pearl', at: [x, 0, 0] }));
    expect(given(pearls, { kind: 'worth', count: 10 })).toHaveLength(1);
    expect(given(pearls, { kind: 'worth', count: 100 })).toEqual([]);
  },
  fallen: () => {
    const thorns: PieceInHand = { family: 'thorns', at: [4, 0, 0], size: [2, 0.7, 6] };
    expect(given([thorns], { kind: 'fallen', count: 1 })).toHaveLength(1);
    expect(given([], { kind: 'fallen', count: 1 })).toEqual([]);
  },
  round: () => {
    const ring: PieceInHand[] = [
      { family: 'lantern', at: [2, 0, 0] },
      { family: 'cairn', at: [5, 0, 0] },
      { family: 'portal', at: [8, 0, 0] },
      { family: 'portal', at: [-3, 0, 0] },
    ];
    const rounds = { kind: 'laps' as const, laps: 3 };
    const [first] = given(ring, { kind: 'round', count: 1 }, rounds);
    const [second] = given(ring, { kind: 'round', count: 2 }, rounds);
    expect(second).toBeGreaterThan(first + 1);
  },
  'time-left': () => {
    expect(given([], { kind: 'time-left', seconds: 2 }, { limit: 5 })).toEqual([3]);
    expect(given([], { kind: 'time-left', seconds: 2 })).toEqual([]);
    // More than there is: at once.
    expect(given([], { kind: 'time-left', seconds: 9 }, { limit: 5 })).toEqual([1 / 120]);
  },
};

test.each(CUES)('%s is given when it says', (kind) => PROOFS[kind]());

test('a region gives the cues of what is touched, left and stood in', () => {
  const [touched] = given([zone(5)], on('touched'));
  const [left] = given([zone(5)], on('left'));
  expect(left).toBeGreaterThan(touched);
});

test('a cue begun with its kind’s figures has those alone', () => {
  for (const kind of CUES) {
    const { ofPieces, count, seconds } = CUE_TRAITS[kind];
    expect(newCue(kind, ['p3'])).toEqual({
      kind,
      ...(ofPieces ? { pieces: ['p3'] } : {}),
      ...(count ? { count } : {}),
      ...(seconds ? { seconds } : {}),
    });
    // Waiting for all of several only makes sense of pieces.
    if (CUE_TRAITS[kind].ofAll) expect(ofPieces).toBe(true);
  }
});
