import { G, Rect, Text as SvgText } from 'react-native-svg';
import { chosenOf } from '@/core/edit';
import type { Course, Piece } from '@/core/course';
import {
  type FieldBeside,
  overlappingFields,
  type OverlappingField,
  pieceName,
} from '@/core/pieces';
import { useLiveOrSnapshot } from '../../../state/panelSnapshot';
import { useDebouncedOf } from '../../../state/debouncedCourse';
import { DAY } from '../../../theme';
import { feltMark } from '../../tools/pickTool';
import type { See } from './marks';

const feltPieces = ({ pieces }: Course) => pieces.filter((piece) => feltMark(piece) !== null);

/** What a field says of itself where it lies over the one that is chosen. */
const BESIDE_WORDS: Record<FieldBeside, string> = {
  adds: 'adds to it',
  counts: 'counts where both are',
  'gives way': 'gives way to it',
};

/** What is only felt, named at its middle; what lies over the chosen one says which of them counts. */
export function RegionMarks({ see }: { see: See }) {
  const felt = useDebouncedOf(feltPieces);
  return felt.length > 0 && <FeltMarks felt={felt} see={see} />;
}

const NONE: readonly OverlappingField[] = [];
const known = new WeakMap<Piece, { course: Course; found: readonly OverlappingField[] }>();

/** What lies over a piece; the same list for the same course, so that who reads it is not told anew. */
function overlappingOf(course: Course, piece: Piece): readonly OverlappingField[] {
  const kept = known.get(piece);
  if (kept?.course === course) return kept.found;
  const found = overlappingFields(course, piece);
  known.set(piece, { course, found });
  return found;
}

function FeltMarks({ felt, see }: { felt: readonly Piece[]; see: See }) {
  const chosen = useLiveOrSnapshot((s) => chosenOf(s.course, s.choice));
  const beside = useLiveOrSnapshot((s) => {
    const [only, ...more] = chosenOf(s.course, s.choice);
    return only && more.length === 0 ? overlappingOf(s.course, only) : NONE;
  });
  // One that is being dragged is where the hand has it.
  const pieces = felt.map((piece) => chosen.find(({ id }) => id === piece.id) ?? piece);
  return (
    <>
      {pieces.map((piece) => {
        const mark = feltMark(piece);
        const at = mark && see(mark);
        if (!at) return null;
        const does = beside.find((one) => one.piece.id === piece.id)?.does;
        const words = does ? `${pieceName(piece)} ${BESIDE_WORDS[does]}` : pieceName(piece);
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
