import { layPieces, newEffect, type PieceInHand } from '../../../../edit';
import {
  EFFECTS,
  EFFECT_TRAITS,
  emptyCourse,
  type Course,
  type Effect,
  type EffectKind,
} from '../../../../course';
import {
  buildWorld,
  initialState,
  tick,
  tideOf,
  type RunEvent,
  type RunState,
  type World,
} from '../../..';

const PIECES: PieceInHand[] = [
  { family: 'slab', at: [10, -1, 0], size: [60, 1, 12] },
  { family: 'start', at: [0, 0, 0] },
  { family: 'block', at: [8, 0, 4], size: [1, 1, 1] },
  { family: 'gate', at: [12, 0, 4], params: { opens: 'link' } },
  { family: 'drift', at: [16, 0, 4], wake: { by: 'touch' } },
  { family: 'lantern', at: [30, 0, 5] },
];

/** A course in which one effect, and what comes before it, is done at the start. */
function courseOf(effects: Effect[], delay?: number): Course {
  const course = layPieces(emptyCourse('Effects', 'free'), PIECES);
  return { ...course, links: [{ id: 'l1', cue: { kind: 'start' }, effects, delay }] };
}

interface Done {
  readonly world: World;
  readonly state: RunState;
  readonly events: RunEvent[];
  /** The same course without the effect, as long. */
  readonly plain: RunState;
}

function done(effects: Effect[], ticks = 30, input = { x: 0, z: 0, jump: false }): Done {
  const world = buildWorld(courseOf(effects));
  const state = initialState(world, 3);
  const events: RunEvent[] = [];
  const bare = buildWorld({ ...courseOf(effects), links: undefined });
  const plain = initialState(bare, 3);
  for (let i = 0; i < ticks; i++) {
    tick(world, state, input, (event) => events.push(event));
    tick(bare, plain, input, () => {});
  }
  return { world, state, events, plain };
}

const of = ({ world }: Done, id: string) => world.placeOf.get(id)!;
const [BLOCK, GATE, MOVER] = ['p3', 'p4', 'p5'];
const on = (kind: EffectKind, id: string, more: Partial<Effect> = {}): Effect => ({
  ...newEffect(kind, [id]),
  ...more,
});

/** For each kind of effect what comes of it. A kind without a proof does not compile. */
const PROOFS: Record<EffectKind, () => void> = {
  hide: () => {
    const run = done([on('hide', BLOCK)]);
    expect(run.state.away[of(run, BLOCK)]).toBe(1);
    expect(run.plain.away[of(run, BLOCK)]).toBe(0);
  },
  show: () => {
    const run = done([on('hide', BLOCK), on('show', BLOCK)]);
    expect(run.state.away[of(run, BLOCK)]).toBe(0);
  },
  break: () => {
    const run = done([on('break', BLOCK)]);
    expect(run.state.away[of(run, BLOCK)]).toBe(1);
    expect(run.events.filter(({ kind }) => kind === 'break').map(({ piece }) => piece)).toEqual([
      BLOCK,
    ]);
  },
  open: () => {
    const forGood = done([on('open', GATE)]);
    const gate = forGood.world.pieceGates[of(forGood, GATE)];
    expect(forGood.state.gates[gate]).toBeGreaterThan(1e6);
    // For a second alone it is open until then.
    expect(done([on('open', GATE, { seconds: 1 })]).state.gates[gate]).toBe(121);
    // What is no gate is away.
    const away = done([on('open', BLOCK)]);
    expect(away.state.away[of(away, BLOCK)]).toBe(1);
  },
  shut: () => {
    const run = done([on('open', GATE), on('shut', GATE), on('hide', BLOCK), on('shut', BLOCK)]);
    expect(run.state.gates[run.world.pieceGates[of(run, GATE)]]).toBe(-1);
    expect(run.state.away[of(run, BLOCK)]).toBe(0);
  },
  start: () => {
    const run = done([on('start', MOVER)]);
    const mover = run.world.partMovers[of(run, MOVER)];
    const moves = run.world.pieceMovers[of(run, MOVER)];
    const index = mover >= 0 ? mover : moves;
    expect(run.plain.moverFrom[index]).toBe(-1);
    expect(run.state.moverFrom[index]).toBeGreaterThanOrEqual(0);
  },
  stop: () => {
    const run = done([on('start', MOVER), on('stop', MOVER)]);
    const index = Math.max(
      run.world.partMovers[of(run, MOVER)],
      run.world.pieceMovers[of(run, MOVER)],
    );
    expect(run.state.moverAt[index]).toBeGreaterThanOrEqual(0);
  },
  carry: () => {
    const run = done([on('carry', 'p6')], 1);
    expect([run.state.x, run.state.z]).toEqual([30, 5]);
    expect(done([newEffect('carry')], 2).state.x).toBe(done([newEffect('sound')], 2).state.x);
  },
  push: () => {
    const run = done([{ ...newEffect('push'), by: [3, 8, 0] }], 2);
    expect(run.state.vy).toBeGreaterThan(7);
    expect(run.state.vx).toBeGreaterThan(run.plain.vx + 2);
    expect(run.state.ground).toBe(-1);
  },
  gravity: () => {
    const run = done([{ ...newEffect('gravity'), value: 0.5, seconds: 5 }]);
    expect(run.state.gravityBy).toBe(0.5);
    expect(run.state.gravityUntil).toBe(601);
  },
  speed: () => {
    const ahead = { x: 16, z: 0, jump: false };
    const run = done([{ ...newEffect('speed'), value: 1.5, seconds: 5 }], 120, ahead);
    expect(run.state.x).toBeGreaterThan(run.plain.x + 0.5);
  },
  size: () => {
    const run = done([{ ...newEffect('size'), value: 0.5, seconds: 5 }]);
    const body = ({ world, state }: Pick<Done, 'world' | 'state'>) => world.bodies[state.size];
    expect(body(run).radius).toBeCloseTo(run.world.bodies[0].radius / 2, 12);
    expect(done([{ ...newEffect('size'), value: 0.5, seconds: 0.2 }], 60).state.size).toBe(0);
  },
  still: () => {
    const ahead = { x: 16, z: 0, jump: false };
    const run = done([{ ...newEffect('still'), seconds: 1 }], 100, ahead);
    expect(run.state.x).toBeLessThan(0.1);
    expect(run.plain.x).toBeGreaterThan(2);
    expect(done([{ ...newEffect('still'), seconds: 0.25 }], 100, ahead).state.x).toBeGreaterThan(1);
  },
  tide: () => {
    const run = done([{ ...newEffect('tide'), value: -0.5, seconds: 1 }], 61);
    const from = run.world.tide;
    expect(tideOf(run.state)).toBeCloseTo((from - 0.5) / 2, 1);
    expect(tideOf(done([{ ...newEffect('tide'), value: -0.5, seconds: 0.2 }], 40).state)).toBe(
      -0.5,
    );
  },
  message: () => {
    const { events } = done([{ ...newEffect('message'), text: 'Mind the gap' }]);
    expect(events.find(({ kind }) => kind === 'message')!.text).toBe('Mind the gap');
  },
  points: () => {
    expect(done([{ ...newEffect('points'), value: 7 }]).state.worth).toBe(7);
    expect(done([{ ...newEffect('points'), value: -7 }]).state.worth).toBe(-7);
  },
  sound: () => {
    const { events } = done([{ ...newEffect('sound'), sound: 'horn' }]);
    expect(events.find(({ kind }) => kind === 'sound')!.text).toBe('horn');
  },
  win: () => {
    const { state, events } = done([newEffect('win')]);
    expect(state.finish).toBeCloseTo(1 / 120, 12);
    expect(events.filter(({ kind }) => kind === 'goal')).toHaveLength(1);
  },
  back: () => {
    const { state, events } = done([newEffect('back')]);
    expect(state.falls).toBe(1);
    expect(events.some(({ kind }) => kind === 'respawn')).toBe(true);
  },
};

test.each(EFFECTS)('%s does what it says', (kind) => PROOFS[kind]());

test('an effect begun with its kind’s figures has no others, and pieces only where it takes any', () => {
  for (const kind of EFFECTS) {
    const effect = newEffect(kind, ['p3']);
    const { onPieces, initial = {} } = EFFECT_TRAITS[kind];
    expect(effect.pieces).toEqual(onPieces ? ['p3'] : undefined);
    const { kind: _, pieces: __, ...figures } = effect;
    expect(figures).toEqual(initial);
  }
});

test('what comes of effects on one piece is what the last of them says', () => {
  const run = done([on('hide', BLOCK), on('show', BLOCK), on('hide', BLOCK)]);
  expect(run.state.away[of(run, BLOCK)]).toBe(1);
});
