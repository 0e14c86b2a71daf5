import { useMemo } from 'react';
import { Circle, G, Text as SvgText } from 'react-native-svg';
import { middle } from '@/core/geometry';
import { pieceBounds } from '@/core/pieces';
import { type EndsAt, endsTogether } from '@/core/timing';
import { useCourse } from '../../../state/courseStore';
import { useDebouncedCourse } from '../../../state/debouncedCourse';
import { useShownRuns } from '../../../state/shownRuns';
import { useKeptAttempts } from '../../../state/useKeptAttempts';
import { DAY } from '../../../theme';
import type { Pixel, See } from './marks';

/** Most places that are marked. */
const MOST = 60;
/** Least and greatest radius of a mark, pixels. */
const [LEAST, GREATEST] = [11, 22];
/** Nearer than this two marks are one, pixels. */
const APART = 34;

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
  return marksSeen(ends, see)
    .reverse()
    .map(({ at, count, part }) => (
      <G key={at.join(' ')}>
        <Circle
          cx={at[0]}
          cy={at[1]}
          r={LEAST + (GREATEST - LEAST) * Math.sqrt(part)}
          fill={DAY.rust}
          fillOpacity={0.45 + 0.5 * part}
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
    ));
}

interface MarkSeen {
  readonly at: Pixel;
  count: number;
  /** How many, as a part of where most were. */
  part: number;
}

/** The ends as they are seen: what would lie over one another is one, at the place of the greater. */
export function marksSeen(ends: readonly EndsAt[], see: See): MarkSeen[] {
  const marks: MarkSeen[] = [];
  for (const { at: place, count } of ends) {
    const at = see(place);
    if (!at) continue;
    const near = marks.find((mark) => Math.hypot(mark.at[0] - at[0], mark.at[1] - at[1]) < APART);
    if (near) near.count += count;
    else marks.push({ at, count, part: 0 });
  }
  marks.sort((a, b) => b.count - a.count);
  for (const mark of marks) mark.part = mark.count / marks[0].count;
  return marks;
}
