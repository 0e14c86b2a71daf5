import { useFrame } from '@react-three/fiber';
import { useMemo, useRef } from 'react';
import type { RunnerKind } from '@/core/course';
import type { World } from '@/core/run';
import { Runner, type Shown, StillPieces, Words } from '../../scene';
import type { PlacedStone } from './threeStones';

interface StonesByLanternProps {
  readonly kind: RunnerKind;
  readonly world: World;
  readonly stones: readonly PlacedStone[];
}

/** The first three of a course on stones by its lantern, each with the name and the time. */
export function StonesByLantern({ kind, world, stones }: StonesByLanternProps) {
  const pieces = useMemo(() => stones.map(({ stone }) => stone), [stones]);
  return (
    <>
      <StillPieces pieces={pieces} tide={world.tide} />
      {stones.map((one) => (
        <Standing key={one.place} kind={kind} world={world} {...one} />
      ))}
    </>
  );
}

function Standing({
  kind,
  world,
  ...one
}: PlacedStone & { readonly kind: RunnerKind; readonly world: World }) {
  const { stone, place, player, measure } = one;
  const shown = useRef<Shown>(standing(one, world));
  useFrame(() => {
    shown.current = standing(one, world);
  }, -1);
  const [width, height, depth] = stone.size!;
  const lines = {
    at: [0, height - 0.46, depth / 2 + 0.02] as const,
    width: 0.9 * width,
    height: 0.8,
  };
  return (
    <>
      <Runner kind={kind} shown={shown} />
      <Words text={`${place}. ${player} ${measure}`} on={stone} {...lines} light />
    </>
  );
}

/** Somebody who stands still on a stone. */
function standing({ stand: [x, y, z], heading }: PlacedStone, world: World): Shown {
  const a = (heading * Math.PI) / 180;
  const ahead = { fx: Math.cos(a), fy: 0, fz: -Math.sin(a) };
  const state = { x, y, z, heading, ...ahead, gx: 0, gy: 1, gz: 0, ground: 0 };
  return { state, body: world.bodies[0], way: 0, floor: y };
}
