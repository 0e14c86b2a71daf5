import { Circle, G, Path } from 'react-native-svg';
import { useGhost } from '../useGhost';
import { MOSS, Label, type See } from './marks';

const TOOK = { end: 'End', corner: 'Corner', surface: 'Surface', grid: '', free: '' } as const;

/** What took hold of the piece in hand, where it did. */
export function SnapMark({ see }: { see: See }) {
  const ghost = useGhost();
  if (!ghost?.mark || !TOOK[ghost.took]) return null;
  const at = see(ghost.mark);
  if (!at) return null;
  const [x, y] = at;
  return (
    <G>
      {ghost.took === 'end' && (
        <Circle cx={x} cy={y} r={10} fill="none" stroke={MOSS} strokeWidth={3} />
      )}
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
