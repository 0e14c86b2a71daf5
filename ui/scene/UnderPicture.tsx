import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { DoubleSide, MeshBasicMaterial, SRGBColorSpace, TextureLoader } from 'three';
import type { Sketch } from '@/core/course';

/** A picture laid under the course: flat on the water, or upright behind a stage. */
export function UnderPicture({
  picture,
  shown,
}: {
  picture: NonNullable<Sketch['picture']>;
  shown: number;
}) {
  const invalidate = useThree((s) => s.invalidate);
  // Fading it does not read it anew.
  const material = useMemo(() => {
    const map = new TextureLoader().load(picture.data, () => invalidate());
    map.colorSpace = SRGBColorSpace;
    return new MeshBasicMaterial({ map, transparent: true, side: DoubleSide, depthWrite: false });
  }, [picture.data, invalidate]);
  useEffect(
    () => () => {
      material.map?.dispose();
      material.dispose();
    },
    [material],
  );
  const { at, width, aspect, upright, turn = 0 } = picture;
  return (
    <group position={[at[0], at[1], at[2]]} rotation-y={(turn * Math.PI) / 180}>
      <mesh rotation-x={upright ? 0 : -Math.PI / 2} renderOrder={1}>
        <planeGeometry args={[width, width * aspect]} />
        <primitive object={material} attach="material" opacity={shown} />
      </mesh>
    </group>
  );
}
