import { Button, Chip, Sheet, Text } from '../parts';
import { useSettings } from '../device/settings';

/** An attempt ends when its time is up, or when its runner was thrown out of all there is. */
export type Ended = 'time-up' | 'lost';

const ENDS: Readonly<Record<Ended, { title: string; words: string }>> = {
  'time-up': {
    title: 'Time is up',
    words: 'The goal was not reached in the time the course gives.',
  },
  lost: {
    title: 'Lost',
    words: 'Something threw the runner faster than any course can. This attempt does not count.',
  },
};

interface PauseSheetProps {
  readonly open: boolean;
  /** Why the attempt is over without a finish, if it is. */
  readonly ended: Ended | null;
  readonly shapes: boolean;
  readonly onShapes: (shown: boolean) => void;
  /** Whether what helps a maker try something is shown; nothing of it for players. */
  readonly tools?: boolean;
  readonly onTools?: (shown: boolean) => void;
  /** Has the touch controls be arranged, where there are some. */
  readonly onArrange?: () => void;
  readonly leaveLabel: string;
  readonly onGoOn: () => void;
  readonly onAgain: () => void;
  /** Asks where to begin, where that is the player's to say. */
  readonly onStarts?: () => void;
  /** Asks where to begin, where that may be anywhere. */
  readonly onPlaces?: () => void;
  readonly onLeave: () => void;
}

/** What can be done while a run is held, or once it is over without a finish. */
export function PauseSheet({
  open,
  ended,
  shapes,
  onShapes,
  tools,
  onTools,
  onArrange,
  leaveLabel,
  onGoOn,
  onAgain,
  onStarts,
  onPlaces,
  onLeave,
}: PauseSheetProps) {
  const { muted, set } = useSettings();
  return (
    <Sheet
      title={ended ? ENDS[ended].title : 'Paused'}
      open={open}
      onClose={ended ? onAgain : onGoOn}
    >
      {ended ? (
        <Text tint="slate">{ENDS[ended].words}</Text>
      ) : (
        <Button kind="main" title="Go on" icon="play" onPress={onGoOn} />
      )}
      <Button
        kind={ended ? 'main' : 'plain'}
        title="Start again"
        icon="rotate-ccw"
        onPress={onAgain}
      />
      {onStarts && <Button title="Begin at another start" icon="flag" onPress={onStarts} />}
      {onPlaces && (
        <Button
          title="Begin somewhere else"
          icon="map-pin"
          onPress={onPlaces}
          testID="begin-elsewhere"
        />
      )}
      {tools !== undefined && (
        <Chip
          role="checkbox"
          label="Tools for trying"
          on={tools}
          onPress={() => onTools?.(!tools)}
        />
      )}
      {onArrange && (
        <Button title="Pad and buttons" icon="move" onPress={onArrange} testID="arrange-open" />
      )}
      <Chip
        role="checkbox"
        label="Show collision shapes"
        on={shapes}
        onPress={() => onShapes(!shapes)}
      />
      <Chip role="checkbox" label="Silent" on={muted} onPress={() => set({ muted: !muted })} />
      <Button title={leaveLabel} icon="chevron-left" onPress={onLeave} />
    </Sheet>
  );
}
