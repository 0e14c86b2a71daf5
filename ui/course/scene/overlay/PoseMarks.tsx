import { G, Path } from 'react-native-svg';
import { posePlaces } from '@/core/edit';
import type { Piece } from '@/core/course';
import { DAY } from '../../../theme';
import { mayLift } from '../../tools/knobs';
import { useTune } from '../../open/tuneStore';
import { LiftKnob, NumberKnob, TurnKnob } from './knobs';
import { path, type See } from './marks';

/** The places a piece's poses bring it to, each with a knob; the one being taken can be lifted and turned. */
export function PoseMarks({ piece, see }: { piece: Piece; see: See }) {
  const posing = useTune((s) => s.posing);
  const places = posePlaces(piece).map(see);
  if (places.length === 0) return null;
  return (
    <G>
      <Path
        d={path([see(piece.at), ...places])}
        stroke={DAY.tide}
        strokeWidth={2}
        strokeDasharray="3 5"
        fill="none"
      />
      {places.map(
        (at, i) =>
          at && (
            <G key={i}>
              {posing === i && mayLift() && <LiftKnob at={at} />}
              {posing === i && <TurnKnob at={at} />}
              <NumberKnob at={at} number={i + 1} on={posing === i} />
            </G>
          ),
      )}
    </G>
  );
}
