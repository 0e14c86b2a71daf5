import { useMemo } from 'react';
import { G, Path, Rect } from 'react-native-svg';
import type { Station } from '@/core/route';
import { useCourse } from '../../../state/courseStore';
import { useKeptAttempts } from '../../../state/useKeptAttempts';
import { useMoments } from '../../../state/useMoments';
import { useColours } from '../../../theme';
import { endsAlong, FOOT, HEIGHT, nearest } from '../../../ribbon';

/** Height of the bar that says where tries end, pixels. */
const BAR = 4;
/** Where kept moments stand, under the length that is told at the left, pixels. */
const BELOW_WORDS = 19;

interface TriedProps {
  readonly stations: readonly Station[];
  readonly length: number;
  readonly x: (along: number) => number;
}

/** What the maker's tries left on the way: where they ended, the darker the more, and the moments that are kept. */
export function Tried({ stations, length, x }: TriedProps) {
  const colours = useColours();
  const id = useCourse((s) => s.id);
  const { data: attempts } = useKeptAttempts(id);
  const moments = useMoments(id);
  const ends = useMemo(() => {
    const at = attempts?.flatMap((tried) => tried.ends.map((end) => end.at));
    return endsAlong(stations, length, at ?? []);
  }, [attempts, stations, length]);
  return (
    <G>
      {ends.map(({ from, to, part }) => (
        <Rect
          key={from}
          x={x(from)}
          y={HEIGHT - FOOT - BAR}
          width={x(to) - x(from)}
          height={BAR}
          fill={colours.rust}
          fillOpacity={0.25 + 0.75 * part}
        />
      ))}
      {moments.map(({ at, place }) => {
        const along = nearest(stations, place)?.along;
        if (along === undefined) return null;
        const left = x(along) - 4;
        return (
          <Path
            key={at}
            d={`M${left} ${BELOW_WORDS} h8 v11 l-4 -3.5 l-4 3.5 Z`}
            fill={colours.tide}
            stroke={colours.paper}
          />
        );
      })}
    </G>
  );
}
