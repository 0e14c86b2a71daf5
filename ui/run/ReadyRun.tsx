import { useCallback, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Course } from '@/core/course';
import type { Vec3 } from '@/core/geometry';
import { FieldIndex } from '@/core/run';
import { Ambience } from '../music/ambience/Ambience';
import { Canvas } from '../scene';
import { useColours } from '../theme';
import { isHeld } from './attempt';
import { FlickAim } from './controls/FlickAim';
import { RunControls, useTouchSteering } from './controls/RunControls';
import { useRunInput } from './controls/useRunInput';
import { RunHud } from './hud/RunHud';
import type { LiveRun } from './liveRun';
import { PaleGapWords } from './pale/PaleGapWords';
import type { PaleRun } from './pale/paleRun';
import { RunMusic } from './RunMusic';
import type { RunProps } from './runProps';
import { RunScene } from './RunScene';
import { RunSheets } from './RunSheets';
import { useStones } from './stones/useStones';
import { TryingBar } from './trying/TryingBar';
import { useAttempt, useEndTold, useFinish } from './useAttempt';
import { useRunCommands } from './useRunCommands';
import { useRunTools } from './useRunTools';

const NO_PALES: readonly PaleRun[] = [];

/** A run that can begin: the scene, the clock, the controls, and what follows the goal. */
export function ReadyRun(props: RunProps) {
  const { course, trying } = props;
  const colours = useColours();
  const { attempt, send, live, starts } = useAttempt(props);
  const end = useEndTold(live, props);
  const held = isHeld(attempt);
  const tools = useRunTools(live, held);
  const { again, leave, commands } = useRunCommands(props, live, send, end);
  const host = useRef<View>(null);
  const input = useRunInput(course, live, host, commands, held, tools.flying);
  const finish = useFinish(props, live, send, end);
  const stones = useStones(props, live, attempt.done !== null);
  const touch = useTouchSteering(input.isStruck);
  const pales = props.beginning === undefined ? (props.pales ?? NO_PALES) : NO_PALES;
  // Going tick by tick, clock and counts go along.
  const still = held && !attempt.stepping;
  return (
    <View style={[styles.whole, { backgroundColor: colours.sky }]}>
      <View ref={host} style={styles.scene}>
        <Canvas running={!held}>
          <RunScene
            {...{ course, live, held, pales, stones }}
            controls={input.controls}
            shapes={tools.shapes}
            onFinish={finish}
          />
        </Canvas>
      </View>
      {input.flick && <FlickAim live={live} aim={input.flick.aim} ready={input.flick.ready()} />}
      <RunMusic live={live} course={course} held={held} />
      <RunAmbience live={live} course={course} />
      {!tools.arranging && stones.length === 0 && (
        <RunHud
          {...{ live, course, best: props.best, before: props.before }}
          held={still}
          onPause={() => send({ do: 'pause' })}
          onLeave={trying && leave}
        >
          <PaleGapWords live={live} pales={pales} held={held} />
          {trying && tools.tools && (
            <TryingBar
              key={attempt.number}
              live={live}
              stepping={attempt.stepping}
              flying={tools.flying}
              onFly={tools.onFlying}
              onStep={() => send({ do: 'step' })}
              onGoOn={() => send({ do: 'go-on' })}
              onKeep={() => trying.onKeep(live)}
            />
          )}
        </RunHud>
      )}
      <RunControls {...{ course, live, tools, touch }} controls={input.controls} hidden={still} />
      {attempt.done && props.finished(attempt.done, again)}
      <RunSheets
        {...props}
        {...{ attempt, send, live, starts, tools, touch, leave, end }}
        onAgain={again}
      />
    </View>
  );
}

/** The sound of the course about the runner. */
function RunAmbience({ live, course }: { live: LiveRun; course: Course }) {
  const at = useCallback((): Vec3 => [live.state.x, live.state.y, live.state.z], [live]);
  const isQuiet = useCallback(() => live.state.field[FieldIndex.quiet] > 0, [live]);
  return <Ambience course={course} listener={at} quiet={isQuiet} />;
}

const styles = StyleSheet.create({
  whole: { flex: 1, overflow: 'hidden' },
  scene: { position: 'absolute', inset: 0 },
});
