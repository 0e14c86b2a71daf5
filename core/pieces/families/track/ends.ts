import { box, cosDeg, frameAt, prism, sinDeg, type Vec3 } from '../../../geometry';
import type { Family } from '../../family';
import { degrees, pieceFrom, metres, ringOutlines, roundOutline } from '../../parts';
import {
  BACK,
  BED,
  bedAlong,
  eased,
  end,
  KERB_UP,
  length,
  side,
  straightTo,
  track,
  upAndDown,
  type Way,
} from './bed';

export const loop = track(
  'loop',
  'Loop',
  'looping circle upside down vertical',
  [metres('radius', 'Radius', 4, 2, 30), side],
  (spec) => {
    const [r, w] = [spec.number('radius'), spec.number('width')];
    const s = spec.choice('side') === 'right' ? 1 : -1;
    const lead = 2;
    const shift = w + 0.4;
    const round: Way = (k) =>
      frameAt(
        [lead + r * sinDeg(360 * k), r * (1 - cosDeg(360 * k)), s * shift * eased(k)],
        0,
        360 * k,
      );
    const out: Vec3 = [2 * lead, 0, s * shift];
    const ways = [
      straightTo([0, 0, 0], [lead, 0, 0]),
      round,
      straightTo([lead, 0, s * shift], out),
    ];
    return pieceFrom(
      spec.tone,
      ways.flatMap((way) => bedAlong(way, () => w, spec.tone)),
      [BACK, end(out, 0)],
    );
  },
);

export const buffer = track(
  'buffer',
  'Track end',
  'stop barrier closed dead',
  [length(1.5)],
  (spec) => {
    const [l, w] = [spec.number('length'), spec.number('width')];
    const stop = box([l - Math.min(0.3, l / 2), BED + KERB_UP, -w / 2], [l, BED + 0.9, w / 2]);
    return pieceFrom(
      spec.tone,
      [
        ...bedAlong(
          upAndDown(l, () => 0),
          () => w,
          spec.tone,
        ),
        { solid: stop, tone: 'timber' },
      ],
      [BACK],
    );
  },
);

/** A dish that catches what runs into it, open on the side it is entered from. */
export const cup: Family = {
  id: 'cup',
  label: 'Cup',
  group: 'track',
  words: 'track bowl dish hole putt pocket catch end',
  material: 'slate',
  size: [3.6, 0.9, 3.6],
  sizable: true,
  params: [degrees('open', 'Opening', 75, 0, 180, 15)],
  build: ({ size: [w, h, d], tone, number }) => {
    const open = number('open') / 2;
    const floor = Math.min(BED, h / 3);
    const sides = Math.max(6, Math.round((360 - 2 * open) / 22.5));
    const part = 1 - 0.4 / Math.max(1, Math.min(w, d) / 2);
    // It is entered from behind, where pieces before it end.
    return pieceFrom(
      tone,
      [
        { solid: prism(roundOutline(w, d, 16), 0, floor) },
        ...ringOutlines(w, d, part, sides, 180 + open, 540 - open).map((outline) => ({
          solid: prism(outline, floor, h),
          tone: 'stone' as const,
        })),
      ],
      [{ at: [-w / 2, floor, 0], heading: 180, kind: 'rim' }],
    );
  },
};
