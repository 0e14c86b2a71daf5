import { useMemo } from 'react';
import { Circle, G, Text as SvgText } from 'react-native-svg';
import { middle } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { endsTogether } from '@/core/timing';
import { useCourse } from '../../../state/courseStore';
import { useDebouncedCourse } from '../../../state/debouncedCourse';
import { useShownRuns } from '../../../state/shownRuns';
import { useKeptAttempts } from '../../../state/useKeptAttempts';
import { DAY } from '../../../theme';
import type { See } from './marks';

/** Most places that are marked. */
const MOST = 60;
/** Least and greatest radius of a mark, pixels. */
const [LEAST, GREATEST] = [9, 24];

/** Where tries of the course ended, on the pieces that ended them, where that is to be seen. */
export function EndMarks({ see }: { see: See }) {
  const wanted = useShownRuns((s) => s.ends);
  return wanted ? <Marks see={see} /> : null;
}

function Marks({ see }: { see: See }) {
  const id = useCourse((s) => s.id);
  const course = useDebouncedCourse();
  const { data: attempts } = useKeptAttempts(id);
  const ends = useMemo(() => {
    const pieces = new Map(course.pieces.map((piece) => [piece.id, piece]));
    return endsTogether(attempts?.flatMap((tried) => tried.ends) ?? [], (name) => {
      const piece = pieces.get(name);
      return piece && middle(pieceBounds(piece));
    }).slice(0, MOST);
  }, [attempts, course]);
  // Where most ended lies on top.
  return [...ends].reverse().map(({ at: place, count, part }) => {
    const at = see(place);
    if (!at) return null;
    const radius = LEAST + (GREATEST - LEAST) * Math.sqrt(part);
    return (
      <G key={place.join(' ')}>
        <Circle
          cx={at[0]}
          cy={at[1]}
          r={radius}
          fill={DAY.rust}
          fillOpacity={0.35 + 0.5 * part}
          stroke={DAY.card}
          strokeWidth={1.5}
        />
        <SvgText
          x={at[0]}
          y={at[1] + 4.5}
          fontSize={13}
          fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
          fill="#FFFFFF"
          textAnchor="middle"
        >
          {String(count)}
        </SvgText>
      </G>
    );
  });
}
