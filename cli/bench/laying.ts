import {
  fitTrack,
  keepSymmetry,
  landingOf,
  layPieces,
  movePieces,
  pickPiece,
  type PieceInHand,
} from '@/core/edit';
import { ROUTES } from '@/core/edit/routes.testing';
import { checkCourse } from '@/core/check';
import { emptyCourse, type Course } from '@/core/course';
import { toShareCode } from '@/core/formats';
import { pieceBounds } from '@/core/pieces';
import { DEMO_COURSES } from '@/demo/courses';
import { median, timesOf, worst, type Figure } from './figures';

/** Many families in rows, as a large course that was built by hand has them. */
export function manyPieces(count: number): Course {
  const families = ['slab', 'block', 'straight', 'bend', 'ramp', 'rock', 'panel', 'steps', 'post'];
  return layPieces(
    emptyCourse('Many', 'free'),
    Array.from({ length: count }, (_, i): PieceInHand => ({
      family: i === 0 ? 'start' : families[i % families.length],
      at: [(i % 70) * 4, (i % 3) / 2, -Math.floor(i / 70) * 4],
      ...(i % 4 === 1 ? { turn: [0, (i * 15) % 360, 0] as [number, number, number] } : {}),
    })),
  );
}

const SETTINGS = {
  steps: [0.5, 0, 0.5] as const,
  ends: true,
  corners: true,
  surface: true,
  reach: 0.8,
};

const ms = (key: string, label: string, value: number, goal: string): Figure => ({
  ...{ key, label, value, unit: 'ms', goal },
});

/** Choosing by touch. */
function choosing(course: Course): Figure[] {
  const times = timesOf(400, (i) =>
    pickPiece(course, {
      from: [(i * 7) % 280, 60, -((i * 11) % 280)],
      along: [0.1, -1, -0.2],
    }),
  );
  return [
    ms('choose5000', 'Choose by touch, 5,000 pieces', median(times), 'at most 4'),
    ms('choose5000worst', '… one in a hundred', worst(times), 'at most 12'),
  ];
}

/** Landing what is in hand: over a course just opened, after each edit, and over one that rests. */
function ghosts(course: Course): Figure[] {
  const land = (on: Course, x: number, z: number) =>
    landingOf(on, { family: 'bend', at: [x, 0, z] }, SETTINGS);
  const [first] = timesOf(1, () => land({ ...course, pieces: [...course.pieces] }, 5, -5));
  let edited = course;
  const again = Array.from({ length: 50 }, (_, i) => {
    edited = layPieces(edited, [{ family: 'slab', at: [(i * 31) % 280, 4, -((i * 17) % 280)] }]);
    return timesOf(1, () => land(edited, (i * 3.7) % 280, -5))[0];
  });
  land(course, 5, -5);
  const times = timesOf(400, (i) => land(course, (i * 3.7) % 280, -((i * 5.3) % 280)));
  return [
    ms('ghost5000', 'Ghost landed, 5,000 pieces', median(times), 'at most 4'),
    ms('ghost5000worst', '… one in a hundred', worst(times), 'at most 12'),
    ms('ghostFirst', 'First ghost over a course just opened', first, ''),
    ms('ghostAfterEdit', 'First ghost after an edit', worst(again), 'at most 12'),
  ];
}

/** Dragging some pieces of a course. */
function drag(course: Course, size: number): number[] {
  const ids = new Set(course.pieces.slice(100, 100 + size).map(({ id }) => id));
  const others = { ...course, pieces: course.pieces.filter(({ id }) => !ids.has(id)) };
  const [held] = course.pieces.filter(({ id }) => ids.has(id));
  return timesOf(200, (i) => {
    const by = [i * 0.05, 0, i * 0.02] as const;
    const [x, y, z] = held.at;
    landingOf(others, { ...held, at: [x + by[0], y, z + by[2]] }, SETTINGS);
    keepSymmetry(course, movePieces(course, ids, by));
  });
}

function drags(course: Course): Figure[] {
  const [one, many] = [drag(course, 1), drag(course, 200)];
  return [
    ms('drag5000', 'One piece dragged, 5,000 pieces', median(one), 'at most 4'),
    ms('drag5000worst', '… one in a hundred', worst(one), 'at most 12'),
    ms('drag200', '200 pieces dragged at once', median(many), 'at most 8'),
  ];
}

/** Track fitted to ten sketches. */
function fits(): Figure[] {
  const found = ROUTES.map(({ points, closed }) => {
    let deviation = 0;
    const [time] = timesOf(1, () => {
      deviation = fitTrack({ points, closed, width: 3, tolerance: 1 }).deviation;
    });
    return { time, deviation };
  });
  const slowest = Math.max(...found.map(({ time }) => time));
  return [
    ms('fitWorst', 'Track fitted to a sketch, slowest of ten', slowest, 'at most 3,000'),
    {
      key: 'fitDeviation',
      label: 'Greatest deviation of the ten',
      value: Math.max(...found.map(({ deviation }) => deviation)),
      unit: 'm',
      goal: 'at most 3',
    },
  ];
}

/** What a piece takes up in a document and in a code. */
function sizes(): Figure[] {
  const pieces = DEMO_COURSES.reduce((sum, { course }) => sum + course.pieces.length, 0);
  const bytes = (of: (course: Course) => number) =>
    DEMO_COURSES.reduce((sum, { course }) => sum + of(course), 0) / pieces;
  return [
    {
      key: 'bytesPiece',
      label: 'Saved document, demo courses',
      value: bytes((demo) => JSON.stringify(demo).length),
      unit: 'B/piece',
      goal: 'at most 100',
    },
    {
      key: 'codePiece',
      label: 'Share code, demo courses',
      value: bytes((demo) => toShareCode(demo).length),
      unit: 'B/piece',
      goal: 'at most 14',
    },
  ];
}

/** What laying costs in a course of 5,000 pieces, the interface left aside. */
export function laying(): Figure[] {
  const course = manyPieces(5000);
  // Known from the drawing of the scene by the time a maker points at anything.
  course.pieces.forEach(pieceBounds);
  const touched = [...choosing(course), ...ghosts(course), ...drags(course)];
  const checks = timesOf(3, () => checkCourse(structuredClone(course)));
  return [
    ...touched,
    ms('findings5000', 'Findings of 5,000 pieces', median(checks), 'at most 1,500'),
    ...fits(),
    ...sizes(),
  ];
}
