import { StyleSheet, useWindowDimensions, View } from 'react-native';
import type { Course } from '@/core/course';
import { WIDE } from '../../theme';
import type { LiveRun } from '../liveRun';
import type { RunTools } from '../useRunTools';
import { ArrangeControls } from './ArrangeControls';
import { FlyControls } from './FlyControls';
import { TouchControls } from './TouchControls';
import type { Controls } from './useControls';

/** True where a runner that is steered is steered by touch: on a phone, or on any screen that is touched. */
export function useTouchSteering(isStruck: boolean): boolean {
  const { width } = useWindowDimensions();
  return (width < WIDE || navigator.maxTouchPoints > 0) && !isStruck;
}

interface RunControlsProps {
  readonly course: Course;
  readonly live: LiveRun;
  readonly controls: Controls;
  readonly tools: RunTools;
  /** Whether the runner is steered by touch. */
  readonly touch: boolean;
  /** Whether they are out of sight. */
  readonly hidden: boolean;
}

/** The controls that lie over the scene of a run, and the bar for moving them about. */
export function RunControls({ course, live, controls, tools, touch, hidden }: RunControlsProps) {
  const { flying, arranging } = tools;
  const { kind } = course.runner;
  const sideOn = course.space === 'side-on';
  return (
    <>
      <View pointerEvents="box-none" style={styles.bottom}>
        {flying && <FlyControls live={live} sideOn={sideOn} />}
        {/* They stay, unseen, under what follows the goal: a finger still held there belongs to them. */}
        {touch && !flying && (
          <TouchControls
            kind={kind}
            controls={controls}
            sideOn={sideOn}
            hidden={hidden && !arranging}
            arranging={arranging}
          />
        )}
      </View>
      {arranging && (
        <View pointerEvents="box-none" style={styles.top}>
          <ArrangeControls kind={kind} onDone={() => tools.onArranging(false)} />
        </View>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  bottom: { flex: 1, justifyContent: 'flex-end' },
  top: { position: 'absolute', left: 0, right: 0, top: 0, alignItems: 'center' },
});
