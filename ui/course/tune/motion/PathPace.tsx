import { View } from 'react-native';
import type { PathMotion } from '@/core/course';
import { legTimes, USUAL_SPEED } from '@/core/motion';
import { Chip, Choices, NumberField } from '../../../parts';
import { Flow } from '../../parts/Section';

/** Changes a path motion; `merge` makes what follows it one step. */
export type ChangePath = (to: Partial<Record<keyof PathMotion, unknown>>, merge?: string) => void;

interface PaceProps {
  readonly motion: PathMotion;
  /** The point in hand, or the first. */
  readonly point: number;
  readonly change: ChangePath;
}

/** The waits at each point with one of them set; nothing where it waits nowhere. */
export function waitsWith(motion: PathMotion, at: number, wait: number): number[] | undefined {
  const next = Array.from({ length: motion.points.length + 1 }, (_, i) => motion.waits?.[i] ?? 0);
  next[at] = wait;
  return next.some((v) => v > 0) ? next : undefined;
}

/** The leg that leads to a point; of a round path the last leads back to the first. */
export function legTo(motion: PathMotion, point: number): number {
  if (point > 0) return point - 1;
  return motion.after === 'round' ? legTimes(motion).length - 1 : 0;
}

/** How fast the path is gone along, what follows its end, and how its corners are taken. */
export function PathPace({ motion, point, change }: PaceProps) {
  const times = legTimes(motion);
  const leg = legTo(motion, point);
  return (
    <>
      <Choices
        label="At its end"
        value={motion.after ?? 'back'}
        options={[
          { value: 'back', label: 'Back again' },
          { value: 'round', label: 'Round and on' },
          { value: 'once', label: 'Stays there' },
        ]}
        onChange={(after) => change({ after: after === 'back' ? undefined : after })}
      />
      <View>
        <NumberField
          label="Speed"
          unit="m/s"
          step={0.25}
          value={motion.speed ?? USUAL_SPEED}
          testID="path-speed"
          onChange={(speed) => change({ speed, times: undefined }, 'path speed')}
        />
        <NumberField
          label={`Takes to point ${point > 0 || motion.after === 'round' ? point + 1 : 2}`}
          unit="s"
          step={0.25}
          value={Math.round(times[leg] * 1000) / 1000}
          testID="path-time"
          onChange={(time) =>
            change({ times: times.map((v, i) => (i === leg ? time : v)) }, `path time ${leg}`)
          }
        />
        <NumberField
          label={`Waits at point ${point + 1}`}
          unit="s"
          step={0.25}
          value={motion.waits?.[point] ?? 0}
          onChange={(wait) =>
            change({ waits: waitsWith(motion, point, wait) }, `path wait ${point}`)
          }
        />
        <NumberField
          label="Start offset"
          unit=""
          step={0.05}
          value={motion.phase ?? 0}
          onChange={(phase) => change({ phase: phase === 0 ? undefined : phase }, 'path phase')}
        />
      </View>
      <Corners motion={motion} point={point} change={change} />
    </>
  );
}

function Corners({ motion, point, change }: PaceProps) {
  const corners = motion.corners ?? [];
  const sharp = corners.includes(point);
  const toggle = () => {
    const next = sharp
      ? corners.filter((corner) => corner !== point)
      : [...corners, point].sort((a, b) => a - b);
    change({ corners: next.length > 0 ? next : undefined });
  };
  return (
    <Flow>
      <Chip
        role="checkbox"
        label="Smooth"
        on={motion.smooth === true}
        onPress={() => change({ smooth: motion.smooth ? undefined : true })}
      />
      {motion.smooth && (
        <Chip role="checkbox" label={`Corner at point ${point + 1}`} on={sharp} onPress={toggle} />
      )}
      <Chip
        role="checkbox"
        label="Slows at each point"
        on={motion.ease === 'smooth'}
        onPress={() => change({ ease: motion.ease === 'smooth' ? undefined : 'smooth' })}
      />
    </Flow>
  );
}
