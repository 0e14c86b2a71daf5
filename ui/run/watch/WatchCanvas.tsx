import { useMemo, useRef } from 'react';
import { View } from 'react-native';
import type { Course } from '@/core/course';
import type { Film } from '@/core/run';
import type { RunLine } from '@/core/timing';
import { Canvas, pixelOf, useGestures, useView, type Tool } from '../../scene';
import type { PaleRun } from '../pale/paleRun';
import { touchedTick } from './touchedTick';
import type { UseWatchClock } from './watchClock';
import { WatchScene } from './WatchScene';

interface WatchCanvasProps {
  readonly course: Course;
  readonly film: Film;
  readonly clock: UseWatchClock;
  readonly follows: boolean;
  readonly shapes: boolean;
  readonly pales: readonly PaleRun[];
  /** The run's way, once it is drawn. */
  readonly line: RunLine | null;
}

/** The picture of a run that is watched: its line is touched to go there, the view moved by fingers once it is free. */
export function WatchCanvas(props: WatchCanvasProps) {
  const { clock, follows, line } = props;
  const host = useRef<View>(null);
  const playing = clock((s) => s.playing);
  const tool = useMemo((): Tool => {
    const tap = (x: number, y: number) => {
      const view = useView.getState();
      const tick = line && touchedTick(line, (place) => pixelOf(view, place), x, y);
      if (tick !== null) clock.getState().seek(tick);
    };
    return follows ? { begin: () => true, tap } : { tap };
  }, [follows, line, clock]);
  useGestures(host, tool);
  return (
    <View ref={host} testID="watch-scene" style={{ position: 'absolute', inset: 0 }}>
      <Canvas running={playing}>
        <WatchScene {...props} />
      </Canvas>
    </View>
  );
}
