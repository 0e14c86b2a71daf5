import type { PieceOutline, WallLine } from '../../course';
import type { Family } from '../family';
import { pieceFrom, metres, oneOf, type PartSpec } from '../parts';
import { platformSolids } from '../outline';
import { wallSolids } from '../wallLine';

const SQUARE: PieceOutline = {
  points: [
    { at: [-1.5, -1] },
    { at: [1.5, -1] },
    { at: [1.5, 0.4] },
    { at: [0, 1.2] },
    { at: [-1.5, 1] },
  ],
};

const platform: Family = {
  id: 'platform',
  label: 'Platform',
  group: 'floors',
  words: 'outline any shape polygon drawn floor custom',
  material: 'stone',
  size: [3, 0.6, 2.2],
  sizable: true,
  drawn: 'outline',
  params: [metres('bevel', 'Bevel', 0.06, 0, 1, 0.02)],
  build: ({ size, tone, number, outline = SQUARE }) => {
    const { drawn, convex } = platformSolids(outline, size[1], number('bevel'));
    const touching = convex.map((solid): PartSpec => ({ solid, tone: null }));
    const { shapes } = pieceFrom(tone, touching);
    return { parts: [{ solid: drawn, tone, mesh: true }], shapes, sockets: [] };
  },
};

const LINE: WallLine = {
  points: [
    [-1.6, 0, 0.6],
    [0.8, 0, 0.6],
    [0.8, 0, -1],
  ],
  runs: [
    [0, 1],
    [1, 2],
  ],
};

const wall: Family = {
  id: 'wall',
  label: 'Wall line',
  group: 'walls',
  words: 'wall drawn line posts panels corner yard',
  material: 'stone',
  size: [2, 2.4, 0.3],
  sizable: true,
  drawn: 'line',
  params: [
    oneOf('posts', 'Posts', { nodes: 'At corners', panels: 'At every panel', none: 'None' }),
  ],
  build: ({ size, tone, choice, line = LINE }) => {
    const { wall: solids, posts } = wallSolids(line, {
      panel: size[0],
      height: size[1],
      thickness: size[2],
      posts: choice('posts') as 'nodes' | 'panels' | 'none',
    });
    return pieceFrom(tone, [
      ...solids.map((solid): PartSpec => ({ solid })),
      ...posts.map((solid): PartSpec => ({ solid, tone: tone === 'slate' ? 'stone' : 'slate' })),
    ]);
  },
};

export const DRAWN: readonly Family[] = [platform, wall];
