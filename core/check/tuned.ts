import { CUES_OF_PIECES, EFFECTS_ON_PIECES, MOST_LOOSE, pathPlaces } from '../assemble';
import { BOUNDS, type Course, type Link } from '../course';
import { distance } from '../geometry';
import { contactRoles, differenceOf, findFamily, legOf, mayBeLoose, hasOwnMotion } from '../pieces';
import { about, type Check, type Finding } from './finding';

// What tuning can get wrong: motions that go nowhere, links without an end, shapes unlike their pictures.

const name = (course: Course, id: string): string => {
  const piece = course.pieces.find((one) => one.id === id);
  return piece ? (piece.name ?? findFamily(piece.family)?.label ?? piece.family) : id;
};

/** A path has a length, and stays within the course. */
const paths: Check = (course) =>
  course.pieces.flatMap((piece): Finding[] => {
    const places = pathPlaces(piece);
    if (places.length === 0) return [];
    const length = places.slice(1).reduce((sum, p, i) => sum + distance(p, places[i]), 0);
    if (length < 0.01) {
      return [
        about(piece, 'path', 'error', 'Its path has no length: move a point of it away.', {
          label: 'Take the motion away',
          edit: { do: 'untune', id: piece.id, key: 'motion' },
        }),
      ];
    }
    if (places.some((p) => p.some((v) => Math.abs(v) > BOUNDS))) {
      return [
        about(piece, 'path', 'error', `Its path leaves the course, ${BOUNDS} m from the middle.`),
      ];
    }
    return [];
  });

/** What sleeps can be woken, and what wakes by nearness does not sleep at once. */
const ranges: Check = ({ pieces }) =>
  pieces.flatMap((piece) => {
    const { wake } = piece;
    if (!wake) return [];
    if (!piece.motion && !piece.thrower && !hasOwnMotion(piece)) {
      return [
        about(piece, 'range', 'notice', 'It has a range and nothing that wakes.', {
          label: 'Take the range away',
          edit: { do: 'untune', id: piece.id, key: 'wake' },
        }),
      ];
    }
    if (wake.by === 'near' && wake.sleep !== undefined && wake.sleep < (wake.range ?? 0)) {
      return [
        about(
          piece,
          'range',
          'notice',
          'It sleeps nearer than it wakes, so it sleeps as far as it wakes.',
        ),
      ];
    }
    return [];
  });

/** What touches by being touched can be touched at all. */
const wakesByTouch: Check = (course) =>
  course.pieces.flatMap((piece) =>
    piece.wake?.by === 'touch' && contactRoles(course, piece).length === 0
      ? [about(piece, 'range', 'error', 'It wakes when touched, and nothing of it touches.')]
      : [],
  );

/** What goes along with something goes along with something that is there. */
const attached: Check = ({ pieces }) => {
  const ids = new Set(pieces.map(({ id }) => id));
  return pieces.flatMap((piece) =>
    piece.attach !== undefined && !ids.has(piece.attach)
      ? [
          about(piece, 'attach', 'error', 'It goes along with a piece that is gone.', {
            label: 'Let go',
            edit: { do: 'untune', id: piece.id, key: 'attach' },
          }),
        ]
      : [],
  );
};

/** What is loose can fall, and there are not so many that a run falters. */
const looseOnes: Check = (course) => {
  const loose = course.pieces.filter((piece) => piece.loose);
  const fix = (id: string) => ({
    label: 'Fix it in its place',
    edit: { do: 'untune' as const, id, key: 'loose' as const },
  });
  const wrong = loose.flatMap((piece): Finding[] => {
    if (!mayBeLoose(piece)) {
      const words = 'It is loose and moves by itself or acts: it stays as if it were not loose.';
      return [about(piece, 'loose', 'notice', words, fix(piece.id))];
    }
    if (contactRoles(course, piece).length > 0) return [];
    return [
      about(piece, 'loose', 'notice', 'It is loose and nothing of it touches.', fix(piece.id)),
    ];
  });
  if (loose.length <= MOST_LOOSE) return wrong;
  const words = `There are ${loose.length} loose pieces; more than ${MOST_LOOSE} slow a run down.`;
  return [...wrong, about(loose[0], 'loose', 'notice', words)];
};

/** Throwers send out something that is no thrower, of a family there is. */
const throwers: Check = ({ pieces }) =>
  pieces.flatMap((piece): Finding[] => {
    if (!piece.thrower) return [];
    const { what, life, interval, most = 6 } = piece.thrower;
    if (!findFamily(what)) {
      return [about(piece, 'thrower', 'error', `It sends out “${what}”, which is no piece.`)];
    }
    return life / interval > most + 1
      ? [
          about(
            piece,
            'thrower',
            'notice',
            `It would have ${Math.ceil(life / interval)} copies at once and may have ${most}: some are not sent.`,
          ),
        ]
      : [];
  });

/** Links wait for something and do something, to pieces that are there. */
const links: Check = (course) => {
  const ids = new Set(course.pieces.map(({ id }) => id));
  return (course.links ?? []).flatMap((link): Finding[] => {
    const fix = { label: 'Take the link away', edit: { do: 'unlink' as const, id: link.id } };
    const wrong = (message: string): Finding[] => [
      { rule: 'link', weight: 'error', message, piece: link.cue.pieces?.[0], fix },
    ];
    const { cue, effects } = link;
    const named = [...(cue.pieces ?? []), ...effects.flatMap(({ pieces = [] }) => pieces)];
    if (named.some((id) => !ids.has(id))) return wrong('A link names a piece that is gone.');
    if (CUES_OF_PIECES.includes(cue.kind) && cue.kind !== 'checkpoint' && !cue.pieces?.length) {
      return wrong('A link waits for a piece and names none.');
    }
    if (effects.some(({ kind, pieces }) => EFFECTS_ON_PIECES.includes(kind) && !pieces?.length)) {
      return wrong('A link does something to pieces and names none.');
    }
    return [];
  });
};

/** Links that break each other's pieces in a ring would act for ever within one tick. */
const loops: Check = (course) => {
  const all = course.links ?? [];
  const follows = ({ effects }: Link): Link[] =>
    all.filter(
      ({ cue }) =>
        cue.kind === 'broken' &&
        effects.some(
          ({ kind, pieces }) => kind === 'break' && pieces?.some((id) => cue.pieces?.includes(id)),
        ),
    );
  const found: Finding[] = [];
  for (const start of all) {
    const way: Link[] = [];
    const search = (link: Link): boolean => {
      way.push(link);
      for (const next of follows(link)) {
        if (next === start) return true;
        if (!way.includes(next) && search(next)) return true;
      }
      way.pop();
      return false;
    };
    const shows = (link: Link) => link.effects.some(({ kind }) => kind === 'show');
    if (!search(start) || !way.some(shows)) continue;
    const broken = way.flatMap(({ cue }) => cue.pieces ?? []).map((id) => name(course, id));
    found.push({
      rule: 'link-loop',
      weight: 'error',
      message: `Links bring each other about without end: ${[...new Set(broken)].join(', ')}.`,
      piece: start.cue.pieces?.[0],
      fix: { label: 'Take one of them away', edit: { do: 'unlink', id: start.id } },
    });
    break;
  }
  return found;
};

/** Checkpoints in turn leave out no number. */
const checkpointGaps: Check = ({ pieces, order }) => {
  if (order === 'free') return [];
  const cairns = pieces.filter(({ family }) => family === 'cairn');
  const numbers = new Set(cairns.map(({ params }) => Number(params?.number ?? 1)));
  return [...numbers]
    .filter((number) => number > 1 && !numbers.has(number - 1))
    .map((number) =>
      about(
        cairns.find(({ params }) => Number(params?.number ?? 1) === number)!,
        'cairn-gap',
        'notice',
        `There is no cairn ${number - 1} before cairn ${number}.`,
      ),
    );
};

/** Every leg has a start and a goal. */
const legs: Check = ({ pieces, legs: told = [] }) =>
  told.flatMap((_, i): Finding[] => {
    const has = (family: string) =>
      pieces.some((piece) => piece.family === family && legOf(piece) === i + 1);
    const missing = [!has('start') && 'start', !has('lantern') && 'goal'].filter(Boolean);
    if (missing.length === 0) return [];
    return [
      { rule: 'leg', weight: 'error', message: `Leg ${i + 1} has no ${missing.join(' and no ')}.` },
    ];
  });

/** A shape that was drawn and is very unlike its picture surprises players. */
const unlike: Check = (course) => {
  if (!course.shapes && !course.pieces.some(({ shape }) => shape)) return [];
  return course.pieces
    .filter(({ shape, family }) => shape ?? course.shapes?.[family])
    .map((piece) => ({ piece, apart: differenceOf(course, piece) }))
    .filter(({ apart }) => apart && (apart.area > 0.35 || apart.distance > 0.4))
    .sort((a, b) => b.apart!.area - a.apart!.area)
    .slice(0, MOST_UNLIKE)
    .map(({ piece, apart }) =>
      about(
        piece,
        'unlike',
        'notice',
        `Its shape is unlike its picture: ${Math.round(apart!.area * 100)} % of the area, ${Math.round(apart!.distance * 100)} cm at most.`,
      ),
    );
};

/** Most pieces named for having a shape unlike their picture. */
const MOST_UNLIKE = 8;

export const TUNED: readonly Check[] = [
  paths,
  ranges,
  wakesByTouch,
  attached,
  looseOnes,
  throwers,
  links,
  loops,
  checkpointGaps,
  legs,
  unlike,
];
