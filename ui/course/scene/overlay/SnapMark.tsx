import { Circle, G, Path } from 'react-native-svg';
import { useGhost } from '../useGhost';
import { useLay } from '../../open/laying';
import { MOSS, Label, type Pixel, type See } from './marks';

const TOOK = { end: 'End', corner: 'Corner', surface: 'Surface', grid: '', free: '' } as const;

/** What took hold of the piece in hand, where it did; with an empty hand, the open end that was touched. */
export function SnapMark({ see }: { see: See }) {
  const ghost = useGhost();
  const touched = useLay((s) => s.touchedEnd);
  if (!ghost) return touched && <EndRing at={see(touched)} />;
  if (!ghost.mark || !TOOK[ghost.took]) return null;
  const at = see(ghost.mark);
  if (!at) return null;
  const [x, y] = at;
  return (
    <G>
      {ghost.took === 'end' && <EndRing at={at} />}
      {ghost.took === 'corner' && (
        <Path
          d={`M${x - 10},${y}L${x},${y}L${x},${y - 10}`}
          stroke={MOSS}
          strokeWidth={4}
          fill="none"
        />
      )}
      {ghost.took === 'surface' && (
        <Path d={`M${x - 12},${y}L${x + 12},${y}`} stroke={MOSS} strokeWidth={4} />
      )}
      <Label at={[x, y - 30]} words={TOOK[ghost.took]} tint={MOSS} />
    </G>
  );
}

const EndRing = ({ at }: { at: Pixel | null }) =>
  at && <Circle cx={at[0]} cy={at[1]} r={10} fill="none" stroke={MOSS} strokeWidth={3} />;
