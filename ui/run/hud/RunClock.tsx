import { memo, useEffect, useRef } from 'react';
import { Text } from 'react-native';
import { TICKS_PER_SECOND } from '@/core/motion';
import { runTime } from '../../parts';
import { TYPE } from '../../theme';
import type { LiveRun } from '../liveRun';

/**
 * What the clock of a run shows, s: the time that went by, with what was on it before; or what is left where there is
 * a limit.
 */
export function clockSeconds(
  { state, world }: Pick<LiveRun, 'state' | 'world'>,
  before = 0,
): number {
  const passed = state.finish >= 0 ? state.finish : state.tick / TICKS_PER_SECOND;
  return world.limit > 0 ? Math.max(0, world.limit / TICKS_PER_SECOND - passed) : before + passed;
}

interface RunClockProps {
  readonly live: LiveRun;
  readonly held: boolean;
  readonly before?: number;
}

/**
 * The clock of a run. Its words are put straight into the page in every frame: sixty times a second nothing
 * else is worked out for it.
 */
export const RunClock = memo(function RunClock({ live, held, before }: RunClockProps) {
  const words = useRef<Text>(null);
  useEffect(() => {
    const put = () => {
      const node = words.current as unknown as { textContent: string } | null;
      if (node) node.textContent = runTime(clockSeconds(live, before));
    };
    put();
    if (held) return;
    let frame = requestAnimationFrame(function next() {
      put();
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [live, held, before]);
  return <Text testID="run-clock" ref={words} style={[TYPE.clock, { color: '#1F2A2E' }]} />;
});
