import { LinearProgress } from '@rneui/themed';
import { useColours } from '../theme';

/** How far something has come, a share from 0 to 1. */
export function Progress({ label, part }: { label: string; part: number }) {
  const colours = useColours();
  return (
    <LinearProgress
      value={part}
      // It would run after the value for a second.
      animation={false}
      color={colours.moss}
      trackColor={colours.line}
      style={{ height: 8, borderRadius: 4 }}
      accessibilityLabel={label}
      {...{
        'aria-valuemin': 0,
        'aria-valuemax': 100,
        'aria-valuenow': Math.round(part * 100),
      }}
    />
  );
}
