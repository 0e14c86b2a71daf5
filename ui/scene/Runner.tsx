import { useMemo, useRef } from 'react';
import { useFrame } from '@react-three/fiber';
import { Quaternion, Vector3, type Group, type Mesh } from 'three';
import type { RunnerKind } from '@/core/course';
import { centreHeight, type Capsule, type RunState } from '@/core/run';
import { bakeParts } from './bake';
import { facetGeometry, lineGeometry } from './geometry';
import { BEHIND, FACETS, INK, PALE, PALE_INK, plain } from './materials';
import { runnerForm, type RunnerPart } from './runnerForms';

/** Where the runner is shown, changed in place frame by frame. */
export interface Shown {
  state: Pick<
    RunState,
    'x' | 'y' | 'z' | 'heading' | 'fx' | 'fy' | 'fz' | 'gx' | 'gy' | 'gz' | 'ground'
  >;
  /** Its body, for its size. */
  body: Capsule;
  /** Metres gone over the map, for the legs' swing. */
  way: number;
  /** Height of what is below, for the shadow. */
  floor: number;
}

const SHADOW = plain('#1F2A2E', 0.28);
const UP = new Vector3(0, 1, 0);
const scratch = { axis: new Vector3(), turn: new Quaternion(), a: new Vector3(), b: new Vector3() };

interface RunnerProps {
  readonly kind: RunnerKind;
  readonly shown: { current: Shown };
  /** Seen through, as a recorded run is. */
  readonly pale?: boolean;
}

/** The runner, as its kind looks and moves. */
export function Runner({ kind, shown, pale = false }: RunnerProps) {
  const host = useRef<Group>(null);
  const rolling = useRef<Group>(null);
  const limbs = useRef<(Group | null)[]>([]);
  const shadow = useRef<Mesh>(null);
  const last = useRef<{ x: number; z: number } | null>(null);
  const form = useMemo(() => runnerForm(kind), [kind]);
  useFrame(() => {
    const { state, body, floor } = shown.current;
    const { x, y, z } = state;
    const size = body.radius / form.radius;
    host.current?.position.set(x, y, z);
    host.current?.scale.set(size, size, size);
    const { pose, rolls, limb } = MOTIONS[kind];
    if (host.current) pose?.(host.current, state);
    const from = last.current ?? { x, z };
    if (rolls && rolling.current) {
      // Rolled about the axis level and square to its way, by as far as it went.
      const [dx, dz] = [x - from.x, z - from.z];
      const far = Math.hypot(dx, dz);
      if (far > 1e-5 && far < 3) {
        scratch.axis.set(dz / far, 0, -dx / far);
        scratch.turn.setFromAxisAngle(scratch.axis, far / body.radius);
        rolling.current.quaternion.premultiply(scratch.turn);
      }
    }
    last.current = { x, z };
    limbs.current.forEach((group, i) => {
      if (group) limb?.(group, shown.current, i);
    });
    if (shadow.current) {
      shadow.current.visible = floor > -1e6;
      shadow.current.position.set(x, floor + 0.03, z);
      const spread = size * Math.max(0.35, 1 - (y - floor) * 0.15) * (form.radius / 0.25);
      shadow.current.scale.set(spread, spread, spread);
    }
  });
  const lift = centreHeight({ radius: form.radius, half: 0, index: 0 });
  return (
    <>
      <group ref={host}>
        {MOTIONS[kind].rolls ? (
          <group ref={rolling} position={[0, lift, 0]}>
            <Parts parts={form.body} pale={pale} />
          </group>
        ) : (
          <Parts parts={form.body} pale={pale} />
        )}
        {form.limbs.map(({ at, parts }, i) => (
          <group
            key={i}
            ref={(group) => {
              limbs.current[i] = group;
            }}
            position={at as [number, number, number]}
          >
            <Parts parts={parts} pale={pale} />
          </group>
        ))}
      </group>
      {!pale && (
        <mesh ref={shadow} material={SHADOW} rotation-x={-Math.PI / 2}>
          <circleGeometry args={[0.3, 14]} />
        </mesh>
      )}
    </>
  );
}

/** Turns to where it points, standing on its ground as that leans. */
function standAlong(group: Group, { fx, fy, fz, gx, gy, gz }: Shown['state']): void {
  const { a, b, turn } = scratch;
  // First upright to the ground's normal, then about it to the way ahead.
  turn.setFromUnitVectors(UP, b.set(gx, gy, gz));
  a.set(1, 0, 0).applyQuaternion(turn);
  group.quaternion.setFromUnitVectors(a, b.set(fx, fy, fz)).multiply(turn);
}

/** How each kind of runner is seen to move. */
const MOTIONS: Readonly<
  Record<
    RunnerKind,
    {
      readonly pose?: (group: Group, state: Shown['state']) => void;
      /** Its body rolls over the ground as far as it goes. */
      readonly rolls?: boolean;
      readonly limb?: (group: Group, shown: Shown, index: number) => void;
    }
  >
> = {
  hopper: {
    pose: (group, { heading }) => group.rotation.set(0, (heading * Math.PI) / 180, 0),
    limb: (leg, { state, way }, i) => {
      const grounded = state.ground >= 0;
      const swing = grounded ? Math.sin(way * 5 + i * Math.PI) * 0.7 : i === 0 ? 0.5 : -0.3;
      leg.rotation.set(0, 0, swing);
    },
  },
  roller: { rolls: true },
  cart: {
    pose: standAlong,
    limb: (wheel, { way }) => wheel.rotation.set(0, 0, -way / 0.22),
  },
  flick: {},
};

function Parts({ parts, pale }: { parts: readonly RunnerPart[]; pale: boolean }) {
  const [facets, lines] = useMemo(() => {
    const baked = bakeParts(parts);
    return [facetGeometry(baked), lineGeometry(baked.lines)];
  }, [parts]);
  if (pale) {
    return (
      <>
        <mesh geometry={facets} material={PALE} renderOrder={3} />
        <lineSegments geometry={lines} material={PALE_INK} renderOrder={3} />
      </>
    );
  }
  return (
    <>
      <mesh geometry={facets} material={BEHIND} renderOrder={1} />
      <mesh geometry={facets} material={FACETS} renderOrder={2} />
      <lineSegments geometry={lines} material={INK} />
    </>
  );
}
