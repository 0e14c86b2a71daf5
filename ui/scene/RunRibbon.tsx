import { useEffect, useMemo } from 'react';
import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  ConeGeometry,
  CylinderGeometry,
  DoubleSide,
  InstancedMesh,
  Matrix4,
  MeshBasicMaterial,
  OctahedronGeometry,
  ShaderMaterial,
  TetrahedronGeometry,
  Vector2,
} from 'three';
import { useThree } from '@react-three/fiber';
import type { LineMark, LineMarkKind, RunLine } from '@/core/timing';
import { LIFT, ribbonArrays } from './ribbonArrays';

/** Half the width of a line, pixels. */
const HALF_WIDTH = 2.6;

const RIBBON = new ShaderMaterial({
  vertexShader: /* glsl */ `
    attribute vec3 ahead;
    attribute float side;
    attribute vec3 colour;
    uniform vec2 uSize;
    varying vec3 vColour;
    void main() {
      vec4 here = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
      vec4 next = projectionMatrix * modelViewMatrix * vec4(position + ahead, 1.0);
      vec2 way = (next.xy / next.w - here.xy / here.w) * uSize;
      way = length(way) > 1e-6 ? normalize(way) : vec2(1.0, 0.0);
      here.xy += vec2(-way.y, way.x) * side * ${HALF_WIDTH.toFixed(1)} * 2.0 / uSize * here.w;
      // A little nearer than the ground it lies on.
      here.z -= 0.0008 * here.w;
      vColour = colour;
      gl_Position = here;
    }`,
  fragmentShader: /* glsl */ `
    varying vec3 vColour;
    void main() { gl_FragColor = vec4(vColour, 0.9); }`,
  // Which side faces the eye depends on the way the line takes over the picture.
  side: DoubleSide,
  transparent: true,
  depthWrite: false,
  uniforms: { uSize: { value: new Vector2(390, 600) } },
});

/** The ribbon of a run's line as one mesh. */
function ribbonGeometry(line: RunLine): BufferGeometry {
  const { place, ahead, colour, side, faces } = ribbonArrays(line);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(place, 3));
  geometry.setAttribute('ahead', new BufferAttribute(ahead, 3));
  geometry.setAttribute('colour', new BufferAttribute(colour, 3));
  geometry.setAttribute('side', new BufferAttribute(side, 1));
  geometry.setIndex(faces);
  return geometry;
}

/** Each kind of mark has a form and a colour of its own. */
const MARK_FORMS: Readonly<Record<LineMarkKind, { make: () => BufferGeometry; colour: string }>> = {
  jump: { make: () => new ConeGeometry(0.3, 0.55, 4), colour: '#3F6B52' },
  land: { make: () => new CylinderGeometry(0.34, 0.34, 0.1, 10), colour: '#1F2A2E' },
  hit: { make: () => new OctahedronGeometry(0.36), colour: '#B4472E' },
  fall: { make: () => new TetrahedronGeometry(0.42), colour: '#8F3420' },
  wait: { make: () => new BoxGeometry(0.4, 0.4, 0.4), colour: '#2C7A8C' },
};
const forms = new Map<LineMarkKind, { form: BufferGeometry; material: MeshBasicMaterial }>();
const formOf = (kind: LineMarkKind) => {
  let known = forms.get(kind);
  if (!known) {
    const { make, colour } = MARK_FORMS[kind];
    const material = new MeshBasicMaterial();
    material.color.setStyle(colour, '');
    known = { form: make(), material };
    forms.set(kind, known);
  }
  return known;
};

interface RunRibbonProps {
  readonly line: RunLine;
  readonly marks: readonly LineMarkKind[];
}

/** A run's line over its course, coloured by speed, with what happened marked on it. */
export function RunRibbon({ line, marks }: RunRibbonProps) {
  const geometry = useMemo(() => ribbonGeometry(line), [line]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  const size = useThree((s) => s.size);
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => {
    RIBBON.uniforms.uSize.value.set(size.width, size.height);
    invalidate();
  }, [size, geometry, marks, invalidate]);
  return (
    <>
      <mesh geometry={geometry} material={RIBBON} frustumCulled={false} renderOrder={4} />
      {marks.map((kind) => (
        <Marks key={kind} kind={kind} of={line.marks} />
      ))}
    </>
  );
}

function Marks({ kind, of }: { readonly kind: LineMarkKind; readonly of: readonly LineMark[] }) {
  const mesh = useMemo(() => {
    const { form, material } = formOf(kind);
    const own = of.filter((mark) => mark.kind === kind);
    const made = new InstancedMesh(form, material, own.length);
    const matrix = new Matrix4();
    own.forEach(({ at: [x, y, z] }, i) => {
      made.setMatrixAt(i, matrix.makeTranslation(x, y + 2 * LIFT, z));
    });
    made.frustumCulled = false;
    return made;
  }, [kind, of]);
  useEffect(() => () => void mesh.dispose(), [mesh]);
  return mesh.count > 0 ? <primitive object={mesh} /> : null;
}
