import { endsOf, joinTo, layPieces, type PieceInHand } from '../edit';
import { applyFix, checkCourse } from '../check';
import { emptyCourse, type Course, type Piece, type RunnerKind } from '../course';
import { beginAt, buildWorld, DEFAULT_GRAVITY, NO_INPUT, tick } from '../run';
import { FAMILIES, topOver, type Family } from '.';

const TRACK = FAMILIES.filter(({ group }) => group === 'track');
const laid = (piece: PieceInHand): Piece => ({ ...piece, id: 'x' });
const straight = (length: number): PieceInHand => ({
  family: 'straight',
  at: [0, 0, 0],
  params: { length },
});

/** The settings to try of a family: each alone at its limits, where a runner may still go. */
function settingsOf({ params }: Family): NonNullable<Piece['params']>[] {
  const tried = params.flatMap((param): NonNullable<Piece['params']>[] => {
    if (param.kind === 'choice') return param.options.map(({ value }) => ({ [param.key]: value }));
    if (param.kind !== 'number') return [];
    const { key, initial, min, max } = param;
    // Steeper than this is a wall, wherever it begins.
    const most = key === 'height' ? 1.5 : key === 'rise' ? 1 : Math.min(max, 30);
    const least = key === 'rise' ? -1 : key === 'length' ? Math.max(min, 5) : min;
    return [least, initial, most].map((value) => ({ [key]: value }));
  });
  return [{}, ...tried];
}

/** A straight, the piece joined to it, and a straight joined to another of its ends. */
function threeOf(family: Family, params: Piece['params'], out: number): PieceInHand[] {
  const first = {
    ...straight(6),
    params: { length: 6, ...(params?.width ? { width: params.width } : {}) },
  };
  const middle = joinTo({ family: family.id, at: [0, 0, 0], params }, 0, endsOf(laid(first))[1]);
  const end = endsOf(laid(middle))[out];
  return end ? [first, middle, joinTo(straight(6), 0, end)] : [first, middle];
}

const cases = TRACK.flatMap((family) =>
  settingsOf(family).flatMap((params) => {
    const ends = endsOf(laid({ family: family.id, at: [0, 0, 0], params })).length;
    return Array.from({ length: Math.max(1, ends - 1) }, (_, i) => ({
      family,
      params,
      out: i + 1,
    }));
  }),
);

const courseOf = (pieces: readonly PieceInHand[], kind: RunnerKind): Course =>
  layPieces({ ...emptyCourse('Joined', 'free'), runner: { kind }, tide: -90 }, [
    ...pieces,
    { family: 'start', at: [1, 0.3, 0] },
  ]);

test('every track family meets what is joined to it at one height, at every end and in every setting', () => {
  expect(cases.length).toBeGreaterThan(200);
  const steps = cases.flatMap(({ family, params, out }) => {
    const pieces = threeOf(family, params, out);
    const course = courseOf(pieces, 'cart');
    return endsOf(course.pieces[1]).flatMap((end) => {
      const other = course.pieces.find(
        (piece, i) =>
          i !== 1 &&
          i < pieces.length &&
          endsOf(piece).some(({ at }) => Math.hypot(...at.map((v, k) => v - end.at[k])) < 1e-4),
      );
      if (!other) return [];
      const [ax, , az] = [end.turn[0], end.turn[3], end.turn[6]];
      const at = (piece: Piece, k: number) =>
        topOver(course, piece, end.at[0] + ax * k, end.at[2] + az * k, end.at[1] + 0.12);
      const step = Math.abs(at(course.pieces[1], -0.004) - at(other, 0.004));
      return step < 0.012
        ? []
        : [`${family.id} ${JSON.stringify(params)} end ${end.index}: ${step}`];
    });
  });
  expect(steps).toEqual([]);
});

test.each<RunnerKind>(['cart', 'roller'])(
  'a %s goes over both joins of every track family',
  (kind) => {
    const stuck = cases.flatMap(({ family, params, out }) => {
      // A shut cup is a wall by intention; a loop wants more speed, and has a test of its own.
      if (family.id === 'loop' || (family.id === 'cup' && Number(params.open) < 60)) return [];
      const pieces = threeOf(family, params, out);
      const course = courseOf(pieces, kind);
      const ends = endsOf(course.pieces[1]);
      // Over the join into the piece, and over the one out of it: from a metre before to half a metre after.
      const joins = [ends[0], ...(pieces.length > 2 ? [ends[out]] : [])];
      return joins.flatMap((end, i) => {
        const side = i === 0 ? 1 : -1;
        const [ox, oz] = [end.turn[0], end.turn[6]];
        const before = side * (i === 0 ? 1 : 1);
        const from: [number, number] = [end.at[0] + ox * before, end.at[2] + oz * before];
        const own = course.pieces[i === 0 ? 0 : 1];
        const top = topOver(course, own, from[0], from[1], end.at[1] + 1.5);
        if (top === -Infinity) return [];
        const { world, state } = beginAt(course, buildWorld(course), [from[0], top, from[1]]);
        const [vx, vz] = [-ox * side * 6, -oz * side * 6];
        Object.assign(state, { vx, vz, fx: vx / 6, fz: vz / 6 });
        // What is climbed is not lost.
        const energy = () =>
          Math.hypot(state.vx, state.vy, state.vz) ** 2 / 2 + DEFAULT_GRAVITY * state.y;
        const whole = energy();
        let lost = 0;
        for (let t = 0; t < 60; t++) {
          tick(world, state, NO_INPUT, () => {});
          const along = -((state.x - end.at[0]) * ox + (state.z - end.at[2]) * oz) * side;
          if (along > 0.6) break;
          lost = Math.max(lost, whole - energy());
        }
        return lost < 12 ? [] : [`${family.id} ${JSON.stringify(params)} join ${i}: ${lost}`];
      });
    });
    expect(stuck).toEqual([]);
  },
);

test('the check finds a step at a join, and none where the application joined', () => {
  const steps = (course: Course) => checkCourse(course).filter(({ rule }) => rule === 'step');
  const dip = threeOf(
    TRACK.find(({ id }) => id === 'dip')!,
    {},
    1,
  );
  expect(steps(courseOf(dip, 'cart'))).toEqual([]);
  const raised = dip.map((piece, i) =>
    i === 2
      ? { ...piece, at: [piece.at[0], piece.at[1] + 0.06, piece.at[2]] as Piece['at'] }
      : piece,
  );
  const [found] = steps(courseOf(raised, 'cart'));
  expect(found.message).toContain('6 cm');
  const mended = applyFix(courseOf(raised, 'cart'), found.fix!);
  expect(checkCourse(mended).filter(({ rule }) => rule === 'step' || rule === 'gap')).toEqual([]);
  const hair = dip.map((piece, i) =>
    i === 2
      ? { ...piece, at: [piece.at[0], piece.at[1] + 0.015, piece.at[2]] as Piece['at'] }
      : piece,
  );
  expect(steps(courseOf(hair, 'cart'))).toEqual([]);
});
