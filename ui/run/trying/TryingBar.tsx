import { useState } from 'react';
import { invalidate } from '@react-three/fiber';
import { View } from 'react-native';
import { Card, IconButton, Text } from '../../parts';
import { SPACE } from '../../theme';
import type { LiveRun } from '../liveRun';
import { speedWords } from '../speedWords';

/** How fast a run may be tried. */
const SPEEDS = [1, 0.5, 0.25, 0.1, 2] as const;

interface TryingBarProps {
  readonly live: LiveRun;
  /** The clock stands for going tick by tick. */
  readonly stepping: boolean;
  /** Whether the runner flies. */
  readonly flying: boolean;
  readonly onFly: (flying: boolean) => void;
  readonly onStep: () => void;
  readonly onGoOn: () => void;
  readonly onKeep: () => void;
}

/** What helps a maker try something: unhurt, slower, tick by tick, keeping the moment. Made anew with each attempt. */
export function TryingBar(props: TryingBarProps) {
  const { live, stepping, flying, onFly, onStep, onGoOn, onKeep } = props;
  const [unhurt, setUnhurt] = useState(false);
  const [speed, setSpeed] = useState<number>(1);
  const [aided, setAided] = useState(live.aided);
  const step = (by: 1 | -1) => {
    onStep();
    if (by === 1) live.stepOn(performance.now());
    else live.stepBack();
    setAided(true);
    // The clock stands, and so does the picture.
    invalidate();
  };
  return (
    <View style={{ alignItems: 'center', marginTop: SPACE.s }} pointerEvents="box-none">
      <Card style={{ flexDirection: 'row', alignItems: 'center', paddingHorizontal: SPACE.xs }}>
        <IconButton
          icon="shield"
          label={unhurt ? 'Nothing hurts' : 'All hurts as it does'}
          on={unhurt}
          onPress={() => {
            live.setUnhurt(!unhurt);
            setUnhurt(!unhurt);
            setAided(live.aided);
          }}
          testID="try-unhurt"
        />
        <IconButton
          icon="feather"
          label={flying ? 'Let it fall' : 'Fly'}
          on={flying}
          onPress={() => {
            onFly(!flying);
            setAided(true);
          }}
          testID="try-fly"
        />
        <IconButton
          icon="fast-forward"
          label={`Speed ${speed}×`}
          on={speed !== 1}
          onPress={() => {
            const next = SPEEDS[(SPEEDS.findIndex((one) => one === speed) + 1) % SPEEDS.length];
            live.setSpeed(next);
            setSpeed(next);
            setAided(live.aided);
          }}
          testID="try-speed"
        />
        <Text as="smallFigures" style={{ width: 26 }}>
          {speedWords(speed)}
        </Text>
        <IconButton
          icon="chevron-left"
          label="One tick back"
          onPress={() => step(-1)}
          testID="try-back"
        />
        <IconButton
          icon="chevron-right"
          label="One tick on"
          onPress={() => step(1)}
          testID="try-on"
        />
        {stepping && <IconButton icon="play" label="Go on" onPress={onGoOn} testID="try-go-on" />}
        <IconButton icon="bookmark" label="Keep this moment" onPress={onKeep} testID="try-keep" />
      </Card>
      {aided && (
        <Card style={{ paddingHorizontal: SPACE.m, marginTop: SPACE.xs }}>
          <Text as="small" testID="aided">
            Helped: this run proves nothing
          </Text>
          {flying && <Text as="small">Space flies higher, Shift lower</Text>}
        </Card>
      )}
    </View>
  );
}
