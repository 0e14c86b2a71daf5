import { useMemo, useRef } from 'react';
import { useFrame } from '@react-three/fiber';
import type { Group, Mesh } from 'three';
import { box, facetedBall, mapPoints, type Vec3 } from '@/core/geometry';
import { bakeParts } from './bake';
import { facetGeometry, lineGeometry } from './geometry';
import { FACETS, INK, plain } from './materials';

/** Where the runner is shown, changed in place frame by frame. */
export interface Shown {
  x: number;
  y: number;
  z: number;
  heading: number;
  grounded: boolean;
  /** Metres run, for the legs' swing. */
  way: number;
  /** Height of what is below, for the shadow. */
  floor: number;
}

const SHADOW = plain('#1F2A2E', 0.28);

const limbAt = (z: number): Parameters<typeof bakeParts>[0][number] => ({
  solid: box([-0.05, -0.3, z - 0.05], [0.05, 0, z + 0.05]),
  tone: 'slate',
});

/** The hopper: a pebble on two legs. */
export function Runner({ shown }: { shown: { current: Shown } }) {
  const body = useRef<Group>(null);
  const left = useRef<Group>(null);
  const right = useRef<Group>(null);
  const shadow = useRef<Mesh>(null);
  const [pebble, eye, limb] = useMemo(() => {
    const squash = ([x, y, z]: Vec3): Vec3 => [x * 1.05, (y - 0.58) * 0.92 + 0.58, z];
    const bakeOf = (parts: Parameters<typeof bakeParts>[0]) => {
      const baked = bakeParts(parts);
      return [facetGeometry(baked), lineGeometry(baked.lines)] as const;
    };
    return [
      bakeOf([{ solid: mapPoints(facetedBall([0, 0.58, 0], 0.32), squash), tone: 'slate' }]),
      bakeOf([
        { solid: box([0.26, 0.62, -0.16], [0.33, 0.7, -0.08]), tone: 'lamp' },
        { solid: box([0.26, 0.62, 0.08], [0.33, 0.7, 0.16]), tone: 'lamp' },
      ]),
      bakeOf([limbAt(0)]),
    ];
  }, []);
  useFrame(() => {
    const { x, y, z, heading, grounded, way, floor } = shown.current;
    body.current?.position.set(x, y, z);
    body.current?.rotation.set(0, (heading * Math.PI) / 180, 0);
    [left.current, right.current].forEach((leg, i) => {
      const swing = grounded ? Math.sin(way * 5 + i * Math.PI) * 0.7 : i === 0 ? 0.5 : -0.3;
      leg?.rotation.set(0, 0, swing);
    });
    if (shadow.current) {
      shadow.current.visible = floor > -1e6;
      shadow.current.position.set(x, floor + 0.03, z);
      const size = Math.max(0.35, 1 - (y - floor) * 0.15);
      shadow.current.scale.set(size, size, size);
    }
  });
  return (
    <>
      <group ref={body}>
        {[pebble, eye].map(([facets, lines], i) => (
          <group key={i}>
            <mesh geometry={facets} material={FACETS} />
            <lineSegments geometry={lines} material={INK} />
          </group>
        ))}
        <group ref={left} position={[0, 0.3, -0.12]}>
          <mesh geometry={limb[0]} material={FACETS} />
          <lineSegments geometry={limb[1]} material={INK} />
        </group>
        <group ref={right} position={[0, 0.3, 0.12]}>
          <mesh geometry={limb[0]} material={FACETS} />
          <lineSegments geometry={limb[1]} material={INK} />
        </group>
      </group>
      <mesh ref={shadow} material={SHADOW} rotation-x={-Math.PI / 2}>
        <circleGeometry args={[0.3, 14]} />
      </mesh>
    </>
  );
}
