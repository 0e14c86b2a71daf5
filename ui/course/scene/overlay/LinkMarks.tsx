import { useMemo } from 'react';
import { Circle, G, Path } from 'react-native-svg';
import type { Link } from '@/core/course';
import { pieceBounds } from '@/core/pieces';
import { useLiveOrSnapshot } from '../../../state/panelSnapshot';
import { DAY } from '../../../theme';
import { useFirings } from '../../open/preview/dry';
import { useTune } from '../../open/tuneStore';
import type { Pixel, See } from './marks';

/** Links as thin curves from what gives the cue to what it is done to, with a dot at that end. */
export function LinkMarks({ see }: { see: See }) {
  const links = useLiveOrSnapshot((s) => s.course.links);
  return links && <LinkCurves links={links} see={see} />;
}

function LinkCurves({ links, see }: { links: readonly Link[]; see: See }) {
  const { lit } = useFirings();
  const open = useTune((s) => s.link);
  const choice = useLiveOrSnapshot((s) => s.choice);
  const all = useLiveOrSnapshot((s) => s.course.pieces);
  const byId = useMemo(() => {
    const named = new Set(
      links.flatMap(({ cue, effects }) => [
        ...(cue.pieces ?? []),
        ...effects.flatMap(({ pieces = [] }) => pieces),
      ]),
    );
    return new Map(all.filter(({ id }) => named.has(id)).map((piece) => [piece.id, piece]));
  }, [all, links]);
  const middle = (id: string): Pixel | null => {
    const piece = byId.get(id);
    if (!piece) return null;
    const { low, high } = pieceBounds(piece);
    return see([(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2]);
  };
  const strong = ({ id, cue, effects }: Link) =>
    id === open ||
    cue.pieces?.some((piece) => choice.has(piece)) ||
    effects.some(({ pieces }) => pieces?.some((piece) => choice.has(piece)));
  return (
    <>
      {links.flatMap((link) =>
        (lit.has(link.id) ? (link.cue.pieces ?? []) : []).map((id) => {
          const at = middle(id);
          return (
            at && (
              <Circle
                key={`${link.id} ${id}`}
                cx={at[0]}
                cy={at[1]}
                r={26}
                fill={DAY.lichen}
                fillOpacity={0.25}
                stroke={DAY.lichen}
                strokeWidth={4}
              />
            )
          );
        }),
      )}
      {links.flatMap((link) =>
        (link.cue.pieces ?? []).flatMap((from) =>
          link.effects.flatMap(({ pieces = [] }, e) =>
            pieces.map((to) => {
              const [a, b] = [middle(from), middle(to)];
              if (!a || !b) return null;
              const bend = Math.min(90, Math.hypot(b[0] - a[0], b[1] - a[1]) * 0.35);
              const acts = lit.has(link.id);
              const on = acts || strong(link);
              const curve = `M${a[0]},${a[1]}Q${(a[0] + b[0]) / 2},${(a[1] + b[1]) / 2 - bend} ${b[0]},${b[1]}`;
              return (
                <G key={`${link.id} ${from} ${e} ${to}`} opacity={on ? 1 : 0.55}>
                  {acts && <Path d={curve} stroke={DAY.lichen} strokeWidth={9} fill="none" />}
                  <Path d={curve} stroke={DAY.ink} strokeWidth={on ? 2.5 : 1.5} fill="none" />
                  <Circle
                    cx={b[0]}
                    cy={b[1]}
                    r={on ? 6 : 4.5}
                    fill={DAY.ink}
                    stroke={DAY.card}
                    strokeWidth={1.5}
                  />
                </G>
              );
            }),
          ),
        ),
      )}
    </>
  );
}
