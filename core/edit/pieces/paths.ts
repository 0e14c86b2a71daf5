import type { Course, PathMotion, Piece, PosesMotion } from '../../course';
import { add, multiply, rotate, sub, transpose, turnMatrix, type Vec3 } from '../../geometry';
import { wayPoints } from '../../motion';
import { turnOf } from '../../pieces';
import { turnOfMatrix } from './images';
import { changePieces, roundToStored } from './place';
import { removeMotion } from './behaviour';

/** Which of a piece's motions is its path, or -1. */
export const pathOf = (piece: Pick<Piece, 'motion'>): number =>
  piece.motion?.findIndex(({ kind }) => kind === 'path') ?? -1;

/** Places in the world of a path's points, the piece's own first. */
export function pathPlaces(piece: Pick<Piece, 'at' | 'turn' | 'motion'>): Vec3[] {
  const motion = piece.motion?.[pathOf(piece)] as PathMotion | undefined;
  if (!motion) return [];
  const turn = turnOf(piece);
  return wayPoints({ ...motion, after: 'back' }).map((p) => add(rotate(turn, p), piece.at));
}

const ownPlace = (piece: Pick<Piece, 'at' | 'turn'>, place: Vec3): [number, number, number] =>
  rotate(transpose(turnOf(piece)), sub(place, piece.at)).map(roundToStored) as [
    number,
    number,
    number,
  ];

/** Adds a point in the world to the end of a piece's path; one that has none gets one. */
export function addPathPoint(course: Course, id: string, place: Vec3): Course {
  return changePieces(course, new Set([id]), (piece) => {
    const index = pathOf(piece);
    const point = ownPlace(piece, place);
    if (index < 0) {
      piece.motion = [...(piece.motion ?? []), { kind: 'path', points: [point], speed: 2 }];
    } else (piece.motion![index] as PathMotion).points.push(point);
  });
}

/**
 * Puts a point into a path before another of its points; what was said of those after it goes on with them, and
 * the leg it parts takes as long as before by even parts.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param before which point comes after it, 1 the first that is not the piece's own place
 * @param place in the world, m
 */
export function insertPathPoint(course: Course, id: string, before: number, place: Vec3): Course {
  return changePieces(course, new Set([id]), (piece) => {
    const path = piece.motion?.[pathOf(piece)] as PathMotion | undefined;
    if (!path || before < 1 || before > path.points.length) return;
    path.points.splice(before - 1, 0, ownPlace(piece, place));
    path.waits?.splice(before, 0, 0);
    const time = path.times?.[before - 1];
    if (time !== undefined) path.times!.splice(before - 1, 1, time / 2, time / 2);
    if (path.corners) path.corners = path.corners.map((at) => (at >= before ? at + 1 : at));
  });
}

/**
 * Moves a path's point to a place in the world; the first is the piece itself and moves with it.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param point which of its path, from 0
 * @param place in the world, m
 */
export function movePathPoint(course: Course, id: string, point: number, place: Vec3): Course {
  return changePieces(course, new Set([id]), (piece) => {
    const index = pathOf(piece);
    if (index < 0 || point < 1) return;
    (piece.motion![index] as PathMotion).points[point - 1] = ownPlace(piece, place);
  });
}

/** The path without a point; without its last it is no path any more. */
export function removePathPoint(course: Course, id: string, point: number): Course {
  const piece = course.pieces.find((p) => p.id === id);
  const index = piece ? pathOf(piece) : -1;
  if (index < 0 || point < 1) return course;
  const { points } = piece!.motion![index] as PathMotion;
  if (points.length === 1) return removeMotion(course, new Set([id]), index);
  return changePieces(course, new Set([id]), (draft) => {
    const path = draft.motion![index] as PathMotion;
    path.points.splice(point - 1, 1);
    // What was said of each point and leg goes with it.
    path.waits?.splice(point, 1);
    path.times?.splice(point - 1, 1);
    const corners = path.corners
      ?.filter((at) => at !== point)
      .map((at) => (at > point ? at - 1 : at));
    if (corners?.length) path.corners = corners;
    else delete path.corners;
  });
}

/** Which of a piece's motions goes through poses, or -1. */
export const posesOf = (piece: Pick<Piece, 'motion'>): number =>
  piece.motion?.findIndex(({ kind }) => kind === 'poses') ?? -1;

/** Places in the world that the poses of a piece bring it to; its own is not among them. */
export function posePlaces(piece: Pick<Piece, 'at' | 'turn' | 'motion'>): Vec3[] {
  const motion = piece.motion?.[posesOf(piece)] as PosesMotion | undefined;
  const turn = turnOf(piece);
  return (motion?.poses ?? []).map(({ at }) => add(rotate(turn, at as Vec3), piece.at));
}

type OnePose = PosesMotion['poses'][number];

const changePose = (
  course: Course,
  id: string,
  pose: number,
  change: (pose: OnePose, piece: Piece) => undefined,
): Course =>
  changePieces(course, new Set([id]), (piece) => {
    const one = (piece.motion?.[posesOf(piece)] as PosesMotion | undefined)?.poses[pose];
    if (one) change(one, piece);
  });

/**
 * Has a pose bring the piece to a place in the world.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param pose which of its poses, from 0
 * @param place of its foot in the world, m
 */
export const movePose = (course: Course, id: string, pose: number, place: Vec3): Course =>
  changePose(course, id, pose, (one, piece) => {
    one.at = ownPlace(piece, place);
  });

/**
 * Turns a pose about the upright of the piece by degrees, to the left as seen from above.
 * @param course the course as it is; it stays so
 * @param id of the piece
 * @param pose which of its poses, from 0
 * @param degrees about the upright
 */
export const turnPose = (course: Course, id: string, pose: number, degrees: number): Course =>
  changePose(course, id, pose, (one) => {
    const now = turnMatrix((one.turn ?? [0, 0, 0]) as Vec3);
    const turned = turnOfMatrix(multiply(turnMatrix([0, degrees, 0]), now)).map(roundToStored);
    if (turned.some((v) => v !== 0)) one.turn = turned as [number, number, number];
    else delete one.turn;
  });
