import { useFrame } from '@react-three/fiber';
import { useMemo, useRef } from 'react';
import type { RunnerKind } from '@/core/course';
import type { World } from '@/core/run';
import { Runner, type Shown } from '../../scene';
import type { PaleRun } from './paleRun';

interface PaleRunnersProps {
  readonly kind: RunnerKind;
  readonly world: World;
  readonly pales: readonly PaleRun[];
  /** The tick that is shown. */
  readonly at: { readonly tick: number };
}

/** Recorded runs, where each was at the live run's tick. */
export function PaleRunners({ kind, world, pales, at }: PaleRunnersProps) {
  return pales.map((pale) => (
    <PaleRunner key={pale.key} kind={kind} world={world} pale={pale} at={at} />
  ));
}

function PaleRunner({
  kind,
  world,
  pale,
  at,
}: Omit<PaleRunnersProps, 'pales'> & { readonly pale: PaleRun }) {
  const first = useMemo(() => standingAt(pale, 0), [pale]);
  const shown = useRef<Shown>({ state: first, body: world.bodies[0], way: 0, floor: -Infinity });
  useFrame(() => {
    const now = shown.current;
    const next = standingAt(pale, at.tick);
    now.way += Math.hypot(next.x - now.state.x, next.z - now.state.z);
    now.state = next;
  }, -1);
  return <Runner kind={kind} shown={shown} pale />;
}

/** How a recorded run stood at a tick; past its end as it ended. */
export function standingAt({ track }: Pick<PaleRun, 'track'>, tick: number): Shown['state'] {
  const { path, heading, ground } = track;
  const at = Math.min(ground.length - 1, Math.max(0, tick));
  const turned = heading[at];
  const a = (turned * Math.PI) / 180;
  const [x, y, z] = [path[3 * at], path[3 * at + 1], path[3 * at + 2]];
  const ahead = { fx: Math.cos(a), fy: 0, fz: -Math.sin(a) };
  return { x, y, z, heading: turned, ...ahead, gx: 0, gy: 1, gz: 0, ground: ground[at] - 1 };
}
