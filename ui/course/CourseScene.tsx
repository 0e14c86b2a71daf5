import { useMemo, useRef } from 'react';
import { View } from 'react-native';
import {
  layPiece,
  movePieces,
  onWorkPlane,
  pickPiece,
  refusal,
  snapToGrid,
  type PieceInHand,
} from '@/core/assemble';
import type { Vec3 } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { tideLine } from '@/core/run';
import { tell } from '../parts';
import {
  Canvas,
  Chosen,
  Ghost,
  MovingPieces,
  PlaneGrid,
  rayAt,
  StillPieces,
  Surroundings,
  useGestures,
  useView,
  type Moment,
  type Tool,
} from '../scene';
import { endMerge, useCourse } from '../state/courseStore';
import { planeOf, useLay } from './layStore';
import { footFor, useGhost } from './useGhost';

/** The scene of a course being built: tap to lay or choose, drag to move, else move the view. */
export function CourseScene({ building }: { building: boolean }) {
  const host = useRef<View>(null);
  const { course, choice, inHand } = useCourse();
  const step = useLay((s) => s.step);
  const level = useLay((s) => s.level);
  const depth = useLay((s) => s.depth);
  const mode = useView((s) => s.mode);
  const target = useView((s) => s.target);
  const tide = useMemo(() => tideLine(course), [course]);
  const plane = planeOf(mode, { level, depth });
  const moment = useRef<Moment>({ tick: 0, gathered: new Set(), lively: false });
  const chosen = useMemo(() => course.pieces.filter(({ id }) => choice.has(id)), [course, choice]);
  useGestures(
    host,
    useMemo(() => buildTool(building), [building]),
  );

  return (
    <View ref={host} testID="scene" style={{ position: 'absolute', inset: 0 }}>
      <Canvas running={false}>
        <Surroundings tide={tide} />
        <StillPieces pieces={course.pieces} tide={tide} />
        <MovingPieces pieces={course.pieces} moment={moment} />
        {building && inHand && <PlaneGrid plane={plane} step={step} about={target} />}
        {building && inHand && <GhostInHand inHand={inHand} tide={tide} />}
        {building && chosen.length > 0 && <Chosen pieces={chosen} />}
      </Canvas>
    </View>
  );
}

/** The ghost by itself, so that following the pointer touches nothing else of the scene. */
function GhostInHand({ inHand, tide }: { inHand: PieceInHand; tide: number }) {
  const course = useCourse((s) => s.course);
  const ghost = useGhost(course, inHand);
  if (!ghost) return null;
  return <Ghost form={inHand} at={ghost.piece.at} refused={ghost.refused !== null} tide={tide} />;
}

/** Lays the piece in hand at a pointed place and says why when it may not go there. */
export function layAt(pointed: Vec3 | null): void {
  const { course, inHand, edit } = useCourse.getState();
  const { step, level, depth } = useLay.getState();
  if (!inHand || !pointed) return;
  const upright = planeOf(useView.getState().mode, { level, depth }).axis === 'z';
  const [x, y, z] = footFor(inHand, pointed, upright, step);
  const piece: PieceInHand = { ...inHand, at: [x, y, z] };
  const refused = refusal(course, piece);
  if (refused) {
    tell(`${refused}.`);
    return;
  }
  edit((before) => layPiece(before, piece));
  // Another stays in hand; without a pointer to follow it waits beside the one just laid.
  const { low, high } = pieceBounds({ ...piece, id: 'ghost' });
  const [px, py, pz] = pointed;
  useLay.getState().set({ ghostAt: [px + high[0] - low[0], py, pz] });
}

function buildTool(building: boolean): Tool {
  let from: Vec3 | null = null;
  let done: Vec3 = [0, 0, 0];
  const ray = (x: number, y: number) => rayAt(useView.getState(), x, y);
  const pointed = (x: number, y: number) =>
    onWorkPlane(ray(x, y), planeOf(useView.getState().mode, useLay.getState()));
  /** The plane through the chosen pieces on which a drag moves them. */
  const dragPlace = (x: number, y: number) => {
    const { course, choice } = useCourse.getState();
    const piece = course.pieces.find(({ id }) => choice.has(id));
    if (!piece) return null;
    const { axis } = planeOf(useView.getState().mode, useLay.getState());
    return onWorkPlane(ray(x, y), { axis, value: piece.at[axis === 'z' ? 2 : 1] });
  };

  return {
    begin: (x, y) => {
      if (!building) return false;
      const { course, choice, inHand } = useCourse.getState();
      if (inHand) return true;
      const under = pickPiece(course, ray(x, y));
      if (!under || !choice.has(under.id)) return false;
      from = dragPlace(x, y);
      done = [0, 0, 0];
      return from !== null;
    },
    drag: (x, y) => {
      const { choice, inHand, edit } = useCourse.getState();
      if (inHand) {
        useLay.getState().set({ ghostAt: pointed(x, y) });
        return;
      }
      const to = dragPlace(x, y);
      if (!from || !to) return;
      const [fx, fy, fz] = from;
      const whole = snapToGrid([to[0] - fx, to[1] - fy, to[2] - fz], useLay.getState().step);
      const by: Vec3 = [whole[0] - done[0], whole[1] - done[1], whole[2] - done[2]];
      if (by.every((v) => v === 0)) return;
      done = whole;
      edit((course) => movePieces(course, choice, by), 'drag');
    },
    drop: () => {
      if (useCourse.getState().inHand) layAt(useLay.getState().ghostAt);
      from = null;
      endMerge();
    },
    tap: (x, y) => {
      const { course, inHand, choose } = useCourse.getState();
      if (building && inHand) {
        const at = pointed(x, y);
        layAt(at);
        return;
      }
      const under = pickPiece(course, ray(x, y));
      choose(under ? [under.id] : []);
    },
    hover: (x, y) => {
      if (building && useCourse.getState().inHand)
        useLay.getState().set({ ghostAt: pointed(x, y) });
    },
  };
}
