import {
  cosDeg,
  facetedBall,
  loft,
  mapPoints,
  prism,
  regularOutline,
  sinDeg,
  type Polyhedron,
  type Vec3,
} from '../../geometry';
import type { Family, Field, NumberParam, PieceGeometry, Spec } from '../family';
import { at, decoration, HAZARD_ALLOWANCE, number, pieceFrom, seconds, turned } from '../parts';
import { counted, phase, roundBy, way } from './timing';

// What draws the runner in, or carries it round, to what hurts in its middle.

/** Height above the foot to which the water is drawn, m. */
const WATER = 0.1;
/** Radius of what hurts in the middle, m. */
const HEART = 0.55;

const force = (label: string): NumberParam => number('force', label, 'm/s²', 14, [-60, 60, 0.5]);

/** A round disc on the foot, of a radius that is a part of the piece's size, and of a height in m. */
const disc = ({ size: [w, , d] }: Spec, sides: number, radius: number, height: number) =>
  mapPoints(prism(regularOutline(sides, radius), 0, height), ([x, y, z]) => [x * w, y, z * d]);

/** Rings of water about the middle, each a little higher than the one around it. */
const rings = (spec: Spec, count: number): Polyhedron[] =>
  Array.from({ length: count }, (_, i) =>
    disc(spec, 20, 0.5 * (1 - i / count), (WATER * (i + 1)) / count),
  );

/** A piece with a field over all of it. */
const withField = (spec: Spec, piece: PieceGeometry, field: Field): PieceGeometry => ({
  ...piece,
  shapes: [
    ...piece.shapes,
    { role: 'region', form: { kind: 'hull', solid: disc(spec, 16, 0.5, spec.size[1]) }, field },
  ],
});

/** Draws what comes near to a mouth full of teeth. */
export const undertow: Family = {
  id: 'undertow',
  label: 'Undertow',
  group: 'hazards',
  words: 'pull suck draw magnet whirlpool gravity well attract',
  material: 'slate',
  size: [6, 2.5, 6],
  sizable: true,
  params: [force('Pulls by')],
  build: (spec) => {
    const teeth = Array.from({ length: 8 }, (_, i): Polyhedron => {
      const [x, z] = [cosDeg(45 * i) * HEART, sinDeg(45 * i) * HEART];
      const tooth = loft(regularOutline(5, 0.16), 0, regularOutline(5, 0.01), 0.55);
      // Bent over the mouth.
      const bent = (y: number) => 1 - 0.5 * y;
      return mapPoints(tooth, (p) => [p[0] + x * bent(p[1]), p[1] + WATER, p[2] + z * bent(p[1])]);
    });
    const [deep, heart] = [rings(spec, 4), facetedBall([0, WATER, 0], HEART * 0.75)];
    const hurting = facetedBall([0, WATER, 0], HEART - HAZARD_ALLOWANCE);
    const piece = pieceFrom(spec.tone, [
      ...deep.flatMap((ring, i) => decoration(i % 2 ? 'water' : spec.tone, ring)),
      ...decoration('thorn', ...teeth),
      { solid: heart, tone: 'tar', role: 'hazard', shape: hurting },
    ]);
    const towards: Vec3 = [0, WATER + HEART, 0];
    return withField(spec, piece, { kind: 'pull', towards, force: spec.number('force') });
  },
};

/** Carries what comes near round a post that hurts. */
export const eddy: Family = {
  id: 'eddy',
  label: 'Eddy',
  group: 'hazards',
  words: 'swirl turn spin vortex whirlpool round current',
  material: 'slate',
  size: [6, 2.5, 6],
  sizable: true,
  params: [force('Turns by'), seconds('period', 'Period', 4), counted, phase, way],
  build: (spec) => {
    const h = spec.size[1];
    const post = (inset: number) =>
      loft(regularOutline(6, 0.4 - inset), 0, regularOutline(6, 0.16 - inset / 2), h * 0.6);
    const [w, , d] = spec.size;
    const blade = (heading: number): Polyhedron => {
      const length = Math.min(w, d) * 0.42;
      const arm = loft(regularOutline(4, 0.22), 0, regularOutline(4, 0.02), length);
      return at(turned(arm, [0, heading, 80]), [0, WATER, 0]);
    };
    const piece = pieceFrom(
      spec.tone,
      [
        ...rings(spec, 3).flatMap((ring, i) => decoration(i % 2 ? 'water' : spec.tone, ring)),
        ...[0, 120, 240].map((heading) => ({
          ...{ solid: blade(heading), tone: 'water' as const, role: null, moving: true },
        })),
        { solid: post(0), tone: 'thorn', role: 'hazard', shape: post(HAZARD_ALLOWANCE) },
      ],
      [],
      roundBy(spec, [0, 1, 0], [0, 0, 0]),
    );
    const back = spec.choice('way') === 'back' ? -1 : 1;
    return withField(spec, piece, {
      ...{ kind: 'swirl', about: [0, 0, 0], axis: [0, 1, 0] },
      force: back * spec.number('force'),
    });
  },
};
