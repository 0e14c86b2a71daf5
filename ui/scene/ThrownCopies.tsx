import { TICKS_PER_SECOND } from '@/core/motion';
import { useEffect, useMemo, useRef } from 'react';
import { useFrame } from '@react-three/fiber';
import { InstancedMesh, Matrix4, Quaternion, Vector3 } from 'three';
import { mapVec3, type Vec3 } from '@/core/geometry';
import { findFamily, localGeometry } from '@/core/pieces';
import { PROJECTILE_SIZE, copyPlace, copySpeed, type RunState, type World } from '@/core/run';
import { bakeParts } from './bake';
import { facetGeometry } from './geometry';
import { FACETS } from './materials';

const NOWHERE = new Matrix4().makeScale(0, 0, 0);
const scratch = {
  matrix: new Matrix4(),
  place: new Vector3(),
  turn: new Quaternion(),
  size: new Vector3(1, 1, 1),
  axis: new Vector3(),
};

/** What throwers have sent out: as many instances as there may be, each where the run has it. */
export function ThrownCopies({ world, state }: { world: World; state: RunState }) {
  return (
    <>
      {world.emitters.map((throwing) => (
        <Copies key={throwing.piece} throwing={throwing} state={state} />
      ))}
    </>
  );
}

function Copies({ throwing, state }: { throwing: World['emitters'][number]; state: RunState }) {
  const mesh = useRef<InstancedMesh>(null);
  const { first, most, told, body } = throwing;
  const geometry = useMemo(() => copyGeometry(told.what, told.size), [told.what, told.size]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  useFrame(() => {
    const { matrix, place, turn, size, axis } = scratch;
    for (let k = 0; k < most; k++) {
      const i = (first + k) * PROJECTILE_SIZE;
      const born = state.projectiles[i];
      if (born < 0) {
        mesh.current?.setMatrixAt(k, NOWHERE);
        continue;
      }
      const [x, y, z] = copyPlace(state, i);
      const [vx, , vz] = copySpeed(state, i);
      // Rolls the way it goes: about the axis level and square to it.
      const pace = Math.hypot(vx, vz);
      axis.set(pace > 0 ? vz / pace : 1, 0, pace > 0 ? -vx / pace : 0);
      turn.setFromAxisAngle(axis, (((state.tick - born) / TICKS_PER_SECOND) * pace) / body.radius);
      place.set(x, y + body.radius, z);
      mesh.current?.setMatrixAt(k, matrix.compose(place, turn, size));
    }
    if (mesh.current) mesh.current.instanceMatrix.needsUpdate = true;
  });
  return <instancedMesh ref={mesh} args={[geometry, FACETS, most]} frustumCulled={false} />;
}

/** A family's form about its middle, as large as a copy of it is. */
export function copyGeometry(what: string, size: number) {
  const { parts } = localGeometry({ family: findFamily(what) ? what : 'boulder' });
  const points = parts.flatMap(({ solid }) => solid.points);
  const low = [0, 1, 2].map((axis) => Math.min(...points.map((p) => p[axis])));
  const high = [0, 1, 2].map((axis) => Math.max(...points.map((p) => p[axis])));
  const k = size / Math.max(...high.map((v, axis) => v - low[axis]));
  const about = (p: Vec3): Vec3 => mapVec3((axis) => (p[axis] - (low[axis] + high[axis]) / 2) * k);
  return facetGeometry(
    bakeParts(
      parts.map((part) => ({
        ...part,
        moving: false,
        solid: { ...part.solid, points: part.solid.points.map(about) },
      })),
    ),
  );
}
