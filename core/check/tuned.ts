import { CUES_OF_PIECES, EFFECTS_ON_PIECES, pathPlaces } from '../assemble';
import { BOUNDS, MOST_CARRIED, type Course, type Piece } from '../course';
import { distance } from '../geometry';
import {
  checkpointNumber,
  contactRoles,
  differenceOf,
  findFamily,
  hasOwnMotion,
  legOf,
  markOf,
  mayBeLoose,
  type Mark,
} from '../pieces';
import { stronglyConnected } from './components';
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

/** What goes along with something is not carried by too many movers, one on the other, nor in a ring. */
const carried: Check = ({ pieces }) => {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const depth = new Map<string, number>();
  const found: Finding[] = [];
  for (const piece of pieces) {
    const row: Piece[] = [];
    const onRow = new Set<string>();
    let next: Piece | undefined = piece;
    while (next && !depth.has(next.id) && !onRow.has(next.id)) {
      row.push(next);
      onRow.add(next.id);
      next = next.attach === undefined ? undefined : byId.get(next.attach);
    }
    if (next && onRow.has(next.id) && found.length < MOST_CARRIED_TOLD) {
      found.push(
        about(next, 'attach', 'error', 'It goes along with what goes along with it.', {
          label: 'Let go',
          edit: { do: 'untune', id: next.id, key: 'attach' },
        }),
      );
    }
    let deep = next ? (depth.get(next.id) ?? 0) : 0;
    for (const one of row.reverse()) {
      if (one.motion !== undefined || hasOwnMotion(one)) deep++;
      depth.set(one.id, deep);
      if (deep !== MOST_CARRIED + 2 || found.length >= MOST_CARRIED_TOLD) continue;
      const words = `It is carried by more than ${MOST_CARRIED} movers, one on the other, and stays where it is.`;
      found.push(
        about(one, 'attach', 'error', words, {
          label: 'Let go',
          edit: { do: 'untune', id: one.id, key: 'attach' },
        }),
      );
    }
  }
  return found;
};
const MOST_CARRIED_TOLD = 6;

/** What is loose can fall and be touched. */
const looseOnes: Check = (course) => {
  const loose = course.pieces.filter((piece) => piece.loose);
  const fix = (id: string) => ({
    label: 'Fix it in its place',
    edit: { do: 'untune' as const, id, key: 'loose' as const },
  });
  return loose.flatMap((piece): Finding[] => {
    if (!mayBeLoose(piece)) {
      const words = 'It is loose and moves by itself or acts: it stays as if it were not loose.';
      return [about(piece, 'loose', 'notice', words, fix(piece.id))];
    }
    if (contactRoles(course, piece).length > 0) return [];
    return [
      about(piece, 'loose', 'notice', 'It is loose and nothing of it touches.', fix(piece.id)),
    ];
  });
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

/** Links that break each other's pieces in a ring, and show them again, would act for ever within one tick. */
const loops: Check = (course) => {
  const all = course.links ?? [];
  // Links lead to the pieces they break, and those to the links that wait for them to be broken.
  const pieces = [
    ...new Set(all.flatMap(({ cue }) => (cue.kind === 'broken' ? (cue.pieces ?? []) : []))),
  ];
  const nodes = new Map(pieces.map((id, i) => [id, all.length + i]));
  const ways: number[][] = Array.from({ length: all.length + pieces.length }, () => []);
  all.forEach(({ cue, effects }, i) => {
    if (cue.kind !== 'broken') return;
    for (const id of new Set(cue.pieces)) ways[nodes.get(id)!].push(i);
    for (const effect of effects) {
      if (effect.kind !== 'break') continue;
      for (const id of effect.pieces ?? []) if (nodes.has(id)) ways[i].push(nodes.get(id)!);
    }
  });
  const ring = stronglyConnected(ways.length, (node) => ways[node])
    .filter((group) => group.length > 1)
    .map((group) => group.filter((node) => node < all.length).sort((a, b) => a - b))
    .find((links) => links.some((i) => all[i].effects.some(({ kind }) => kind === 'show')));
  if (!ring) return [];
  const broken = [...new Set(ring.flatMap((i) => all[i].cue.pieces ?? []))];
  const told = broken.slice(0, MOST_NAMED).map((id) => name(course, id));
  const more = broken.length > MOST_NAMED ? ` and ${broken.length - MOST_NAMED} more` : '';
  const [first] = ring;
  return [
    {
      rule: 'link-loop',
      weight: 'error',
      message: `Links bring each other about without end: ${[...new Set(told)].join(', ')}${more}.`,
      piece: all[first].cue.pieces?.[0],
      fix: { label: 'Take one of them away', edit: { do: 'unlink', id: all[first].id } },
    },
  ];
};
/** Most pieces of a ring of links that are named. */
const MOST_NAMED = 5;

/** Checkpoints in turn leave out no number. */
const checkpointGaps: Check = ({ pieces, order }) => {
  if (order === 'free') return [];
  const first = new Map<string, Piece>();
  const place = (leg: number, number: number) => `${leg} ${number}`;
  for (const piece of pieces) {
    if (markOf(piece) !== 'checkpoint') continue;
    const key = place(legOf(piece), checkpointNumber(piece));
    if (!first.has(key)) first.set(key, piece);
  }
  return [...first.values()].flatMap((piece) => {
    const number = checkpointNumber(piece);
    if (number === 1 || first.has(place(legOf(piece), number - 1))) return [];
    return [
      about(
        piece,
        'cairn-gap',
        'notice',
        `There is no checkpoint ${number - 1} before checkpoint ${number}.`,
      ),
    ];
  });
};

/** Every leg has a start and a goal. */
const legs: Check = ({ pieces, legs: told = [] }) =>
  told.flatMap((_, i): Finding[] => {
    const has = (mark: Mark) =>
      pieces.some((piece) => markOf(piece) === mark && legOf(piece) === i + 1);
    const missing = (['start', 'goal'] as const).filter((mark) => !has(mark));
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
  carried,
  looseOnes,
  throwers,
  links,
  loops,
  checkpointGaps,
  legs,
  unlike,
];
