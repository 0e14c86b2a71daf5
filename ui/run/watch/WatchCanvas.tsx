import { useMemo, useRef } from 'react';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import type { Film } from '@/core/run';
import { Canvas, useGestures, type Tool } from '../../scene';
import type { PaleRun } from '../pale/paleRun';
import type { UseWatchClock } from './watchClock';
import { WatchScene } from './WatchScene';

interface WatchCanvasProps {
  readonly course: Course;
  readonly film: Film;
  readonly clock: UseWatchClock;
  readonly follows: boolean;
  readonly shapes: boolean;
  readonly pales: readonly PaleRun[];
}

/** The picture of a run that is watched; the view is moved by fingers once it is free. */
export function WatchCanvas(props: WatchCanvasProps) {
  const { clock, follows } = props;
  const host = useRef<View>(null);
  const playing = clock((s) => s.playing);
  const tool = useMemo((): Tool => (follows ? { begin: () => true } : {}), [follows]);
  useGestures(host, tool);
  return (
    <View ref={host} testID="watch-scene" style={{ position: 'absolute', inset: 0 }}>
      <Canvas running={playing}>
        <WatchScene {...props} />
      </Canvas>
    </View>
  );
}
