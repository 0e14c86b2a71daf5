import { checkCourse } from '@/core/check';
import { emptyCourse, MAX_PIECES, type Course, type Link, type Piece } from '@/core/course';
import { buildWorld, courseHash } from '@/core/run';
import { median, timesOf, type Figure } from './figures';

/** Courses at the far end of what a document may hold. */
const WORST: Readonly<Record<string, () => Course>> = {
  '20,000 pieces': () => courseOf(MAX_PIECES - 3, (i) => ({ family: 'slab', at: grid(i) })),
  '20,000 pieces in one place': () =>
    courseOf(MAX_PIECES - 3, (i) => ({
      family: 'slab',
      at: [9 + (i % 100) / 1000, -40, 9],
      size: [2, 0.5, 2 + i / 1e5],
    })),
  '2,000 movers': () =>
    courseOf(2000, (i) => ({
      family: 'slab',
      at: grid(i),
      motion: [
        {
          kind: 'path',
          points: [
            [0, 3, 0],
            [3, 3, 0],
          ],
          speed: 2,
          smooth: true,
        },
      ],
    })),
  'a row of 20,000 that hang on one another': () =>
    courseOf(MAX_PIECES - 3, (i) => ({
      family: 'slab',
      at: grid(i),
      ...(i === 0
        ? { motion: [{ kind: 'swing', axis: 'y', angle: 5, period: 3 }] }
        : { attach: `m${i - 1}` }),
    })),
  '500 links in a ring': () => ({
    ...courseOf(500, (i) => ({ family: 'slab', at: grid(i), breaks: { touches: 1 } })),
    links: Array.from({ length: 500 }, (_, i): Link => ({
      id: `l${i}`,
      cue: { kind: 'broken', pieces: [`m${i}`] },
      effects: [
        { kind: 'show', pieces: [`m${i}`] },
        { kind: 'break', pieces: [`m${(i + 1) % 500}`] },
      ],
    })),
  }),
};

const grid = (i: number): Piece['at'] => [(i % 141) * 3 - 200, -40, Math.floor(i / 141) * 3 - 200];

function courseOf(count: number, piece: (i: number) => Omit<Piece, 'id'>): Course {
  const marks: Piece[] = [
    { id: 'start', family: 'start', at: [0, 0.1, 0] },
    { id: 'goal', family: 'lantern', at: [5, 0, 0] },
    { id: 'floor', family: 'slab', at: [0, -1, 0], size: [20, 1, 20] },
  ];
  const pieces = Array.from({ length: count }, (_, i) => ({ ...piece(i), id: `m${i}` }) as Piece);
  return { ...emptyCourse('Worst', 'free'), pieces: [...marks, ...pieces] };
}

/** Building, checking and hashing the worst sound documents, each made anew so that nothing is known of it. */
export function heaviest(): Figure[] {
  return Object.entries(WORST).flatMap(([name, make]) => {
    const timed = (what: string, goal: string, act: (course: Course) => unknown): Figure => {
      const times = [0, 1, 2].flatMap(() => {
        const course = make();
        return timesOf(1, () => act(course));
      });
      return {
        key: `${what}: ${name}`,
        label: `${what} ${name}`,
        value: median(times),
        unit: 'ms',
        goal,
      };
    };
    return [
      timed('Building', 'under 3,000', buildWorld),
      timed('Checking', 'under 2,000', (course) => checkCourse(course)),
      timed('Hashing', '', courseHash),
    ];
  });
}
