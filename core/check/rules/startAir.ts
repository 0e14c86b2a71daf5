import type { Course, Piece } from '../../course';
import { markOf, pieceBounds } from '../../pieces';
import { NO_INPUT, STEP_HEIGHT, buildWorld, initialState, tick } from '../../run';
import { type Check, type CheckRule, pieceFinding } from '../finding';

/** How far about the start things are looked at that may hold or crush who stands there, m. */
const ABOUT_START = 60;

/** How far a row of what carries one another is followed from there. */
const HOSTS = 60;

/** The pieces about a place, and what carries them; a run of half a second meets no others. */
function around({ pieces }: Course, { at }: Piece): Piece[] {
  const near = new Set(
    pieces.filter((piece) => {
      const { low, high } = pieceBounds(piece);
      return [0, 2].every(
        (axis) => low[axis] < at[axis] + ABOUT_START && high[axis] > at[axis] - ABOUT_START,
      );
    }),
  );
  if (![...near].some(({ attach }) => attach)) return [...near];
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  for (const piece of [...near]) {
    let host = byId.get(piece.attach ?? '');
    for (let i = 0; i < HOSTS && host && !near.has(host); i++) {
      near.add(host);
      host = byId.get(host.attach ?? '');
    }
  }
  return [...near];
}

const startInAir: Check<'start-air'> = (course) => {
  const piece = course.pieces.find((one) => markOf(one) === 'start');
  if (!piece) return [];
  // What is loose stands where it was laid: bodies are for runs.
  const pieces = around(course, piece).map((one) =>
    one.loose ? { ...one, loose: undefined } : one,
  );
  const world = buildWorld({ ...course, pieces });
  const state = initialState(world);
  let fell = false;
  for (let i = 0; i < 60 && state.ground < 0 && !fell; i++) {
    tick(
      world,
      state,
      NO_INPUT,
      ({ kind }) => (fell = fell || kind === 'fall' || kind === 'crush'),
    );
  }
  const drop = piece.at[1] - state.y;
  if (!fell && state.ground >= 0 && drop < STEP_HEIGHT) return [];
  return [pieceFinding(piece, 'start-air', 'notice', 'The start stands in the air.')];
};

export const startAirRule: CheckRule<'start-air'> = { id: 'start-air', check: startInAir };
