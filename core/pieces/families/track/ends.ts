import { cosDeg, frameAt, prism, sinDeg, sweepAlong } from '../../../geometry';
import type { Family } from '../../family';
import { degrees, evenly, pieceFrom, metres, ringOutlines, roundOutline } from '../../parts';
import { track, side, eased, bedAlong, BACK, end, length, upAndDown, BED, KERB_UP } from './bed';

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
    const frames = [
      frameAt([0, 0, 0]),
      ...evenly(0, 1, 24).map((k) =>
        frameAt(
          [
            lead + r * sinDeg(360 * k) * (k === 1 ? 0 : 1),
            r * (1 - cosDeg(360 * k)),
            s * shift * eased(k),
          ],
          0,
          360 * k,
        ),
      ),
      frameAt([2 * lead, 0, s * shift]),
    ];
    return pieceFrom(
      spec.tone,
      bedAlong(frames, () => w, spec.tone),
      [BACK, end([2 * lead, 0, s * shift], 0)],
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
    const frames = upAndDown(l, () => 0, 1);
    const stop = sweepAlong([frameAt([l - Math.min(0.3, l / 2), 0, 0]), frameAt([l, 0, 0])], () => [
      [-w / 2, BED + KERB_UP],
      [w / 2, BED + KERB_UP],
      [w / 2, BED + 0.9],
      [-w / 2, BED + 0.9],
    ]);
    return pieceFrom(
      spec.tone,
      [
        ...bedAlong(frames, () => w, spec.tone),
        ...stop.map((solid) => ({ solid, tone: 'timber' as const })),
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
  words: 'track bowl dish hole catch end',
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
