import { useMemo, useRef } from 'react';
import { useFrame } from '@react-three/fiber';
import type { Sky } from '@/core/course';
import { BufferAttribute, BufferGeometry, type Group, type Mesh } from 'three';
import { DOME, plain, WATER } from './materials';
import { skyColour, useSky } from './sky';
import { surroundingsScale } from './CameraRig';
import { useView } from './view';

/** Outlines of far skerries: x from -1 to 1, height from 0 to 1. */
const SKERRIES: readonly {
  readonly outline: readonly (readonly [number, number])[];
  readonly angle: number;
  readonly half: number;
  readonly height: number;
  readonly far: number;
  readonly tone: 'near' | 'far';
}[] = [
  {
    outline: [
      [-1, 0],
      [-0.7, 0.5],
      [-0.45, 1],
      [-0.1, 0.93],
      [0.2, 0.6],
      [0.55, 0.42],
      [1, 0],
    ],
    angle: -28,
    half: 120,
    height: 62,
    far: 420,
    tone: 'far',
  },
  {
    outline: [
      [-1, 0],
      [-0.5, 0.42],
      [-0.1, 0.5],
      [0.25, 1],
      [0.6, 0.7],
      [1, 0],
    ],
    angle: 14,
    half: 150,
    height: 70,
    far: 440,
    tone: 'far',
  },
  {
    outline: [
      [-1, 0],
      [-0.6, 0.7],
      [-0.15, 1],
      [0.4, 0.55],
      [1, 0],
    ],
    angle: 46,
    half: 80,
    height: 34,
    far: 380,
    tone: 'near',
  },
  {
    outline: [
      [-1, 0],
      [-0.35, 1],
      [0.1, 0.8],
      [0.5, 0.35],
      [1, 0],
    ],
    angle: -62,
    half: 90,
    height: 40,
    far: 380,
    tone: 'near',
  },
  {
    outline: [
      [-1, 0],
      [-0.3, 0.8],
      [0.2, 1],
      [1, 0],
    ],
    angle: 150,
    half: 140,
    height: 55,
    far: 430,
    tone: 'far',
  },
  {
    outline: [
      [-1, 0],
      [-0.5, 1],
      [0.3, 0.7],
      [1, 0],
    ],
    angle: -140,
    half: 110,
    height: 45,
    far: 400,
    tone: 'near',
  },
];

/** The beacon on the far skerry, and the gables of the harbour below the near one. */
const TOWER: readonly (readonly [number, number])[] = [
  [-1, 0],
  [-0.5, 0.9],
  [-0.5, 0.97],
  [0, 1],
  [0.5, 0.97],
  [0.5, 0.9],
  [1, 0],
];
const GABLE: readonly (readonly [number, number])[] = [
  [-1, 0],
  [-1, 0.6],
  [0, 1],
  [1, 0.6],
  [1, 0],
];
const BUILT: typeof SKERRIES = [
  { outline: TOWER, angle: -30.5, half: 3.2, height: 84, far: 418, tone: 'far' },
  ...[39.5, 41.6, 43.4].map((angle, i) => ({
    outline: GABLE,
    angle,
    half: 6 + i,
    height: 12 + 3 * ((i * 2) % 3),
    far: 376,
    tone: 'near' as const,
  })),
  { outline: TOWER, angle: 45.2, half: 2.2, height: 26, far: 376, tone: 'near' },
];
const FAR_OFF = [...SKERRIES, ...BUILT];

const NEAR = plain('#A7BDB9');
const FAR = plain('#BCCDC8');

/** Half the width and the height of the sky's dome, m; it stands a little under the water. */
const DOME_SIZE: [number, number, number] = [1300, 520, 1300];

/** Water to the horizon and a few far skerries, always about the eye. */
export function Surroundings({
  tide,
  sky,
  level,
}: {
  tide: number;
  sky?: Sky;
  /** Where the tide stands now, where it may rise and fall. */
  level?: { readonly current: number };
}) {
  useSky(sky);
  const water = useRef<Mesh>(null);
  const round = useRef<Group>(null);
  const shapes = useMemo(() => ({ near: farOff('near'), far: farOff('far') }), []);
  useFrame(({ camera }) => {
    const height = level?.current ?? tide;
    water.current?.position.set(camera.position.x, height, camera.position.z);
    round.current?.position.set(camera.position.x, height, camera.position.z);
    const by = surroundingsScale(useView.getState().distance);
    water.current?.scale.setScalar(by);
    round.current?.scale.setScalar(by);
    WATER.uniforms.uEye.value.copy(camera.position);
    WATER.uniforms.uDash.value = useView.getState().mode === 'side' ? 1.5 : 0.45;
  });
  return (
    <>
      <color attach="background" args={[skyColour(sky)]} />
      <group ref={round}>
        <mesh material={DOME} renderOrder={-2} frustumCulled={false} scale={DOME_SIZE}>
          <cylinderGeometry args={[1, 1, 1, 48, 6, true, 0]} />
        </mesh>
        <mesh geometry={shapes.far} material={FAR} frustumCulled={false} />
        <mesh geometry={shapes.near} material={NEAR} frustumCulled={false} />
      </group>
      <mesh ref={water} material={WATER} rotation-x={-Math.PI / 2} frustumCulled={false}>
        <circleGeometry args={[1400, 40]} />
      </mesh>
    </>
  );
}

/** All that stands far off in one tone, drawn at once. */
function farOff(tone: 'near' | 'far'): BufferGeometry {
  const points = FAR_OFF.filter((one) => one.tone === tone).flatMap(skerry);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(points), 3));
  return geometry;
}

/** Corners of a flat outline standing on the water far off, facing the middle, three to a facet. */
function skerry({ outline, angle, half, height, far }: (typeof SKERRIES)[number]): number[] {
  const a = (angle * Math.PI) / 180;
  // At angle 0 it stands straight behind a stage seen from the side.
  const [cx, cz] = [Math.sin(a) * far, -Math.cos(a) * far];
  const at = ([x, y]: readonly [number, number]) => [
    cx + Math.cos(a) * x * half,
    y * height,
    cz + Math.sin(a) * x * half,
  ];
  const points: number[] = [];
  for (let i = 1; i + 1 < outline.length; i++) {
    points.push(...at(outline[0]), ...at(outline[i]), ...at(outline[i + 1]));
  }
  return points;
}
