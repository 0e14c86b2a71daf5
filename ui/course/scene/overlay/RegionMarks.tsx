import { G, Rect, Text as SvgText } from 'react-native-svg';
import { chosenOf } from '@/core/edit';
import type { Course, Piece } from '@/core/course';
import { pieceName } from '@/core/pieces';
import { useLiveOrSnapshot } from '../../../state/panelSnapshot';
import { useDebouncedOf } from '../../../state/debouncedCourse';
import { DAY } from '../../../theme';
import { feltMark } from '../../lay/tools/pickTool';
import type { See } from './marks';

const feltPieces = ({ pieces }: Course) => pieces.filter((piece) => feltMark(piece) !== null);

/** What is only felt, named at its middle. */
export function RegionMarks({ see }: { see: See }) {
  const felt = useDebouncedOf(feltPieces);
  return felt.length > 0 && <FeltMarks felt={felt} see={see} />;
}

function FeltMarks({ felt, see }: { felt: readonly Piece[]; see: See }) {
  const chosen = useLiveOrSnapshot((s) => chosenOf(s.course, s.choice));
  // One that is being dragged is where the hand has it.
  const pieces = felt.map((piece) => chosen.find(({ id }) => id === piece.id) ?? piece);
  return (
    <>
      {pieces.map((piece) => {
        const mark = feltMark(piece);
        const at = mark && see(mark);
        if (!at) return null;
        const words = pieceName(piece);
        const width = words.length * 7 + 16;
        return (
          <G key={piece.id}>
            <Rect
              x={at[0] - width / 2}
              y={at[1] - 12}
              width={width}
              height={24}
              rx={12}
              fill={DAY.card}
              stroke={DAY.tide}
              strokeWidth={1.5}
            />
            <SvgText
              x={at[0]}
              y={at[1] + 4.5}
              fontSize={12.5}
              fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
              fill={DAY.ink}
              textAnchor="middle"
            >
              {words}
            </SvgText>
          </G>
        );
      })}
    </>
  );
}
