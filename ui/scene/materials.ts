import {
  Color,
  DoubleSide,
  GreaterDepth,
  ShaderMaterial,
  Vector3,
  Vector4,
  type Texture,
} from 'three';
import { rgb } from '@/core/pieces';

const FAR = new Color().setRGB(...rgb('#B8D1D1'));

/**
 * What the time of day and the weather set for everything that is drawn: the haze's colour, where it
 * begins and where nothing else is left (metres from the eye), and the light.
 */
export const SKY = {
  uFar: { value: FAR.clone() },
  uHaze: { value: [90, 420] },
  uLight: { value: new Vector3(1, 1, 1) },
  /** The light of the sun on what faces it, and of the sky on what does not; and the way to the sun. */
  uSunLight: { value: new Vector3(1, 1, 1) },
  uSkyLight: { value: new Vector3(1, 1, 1) },
  uSun: { value: new Vector3(0, 1, 0) },
  /** How far all pieces fade into the haze, 0 to 1, while only some can be touched. */
  uPale: { value: 0 },
  /** By how much the way to the sun differs from the one that is baked into the colours. */
  uSunShift: { value: new Vector3(0, 0, 0) },
};

// Colours are written as they are to be seen: these shaders add no conversion of their own.
const facetVertex = /* glsl */ `
  attribute vec3 colour;
  uniform vec2 uHaze;
  uniform vec3 uSunShift;
  uniform vec3 uSun;
  uniform vec3 uSunLight;
  uniform vec3 uSkyLight;
  varying vec3 vColour;
  varying float vHaze;
  void main() {
    vec4 local = vec4(position, 1.0);
    #ifdef USE_INSTANCING
      local = instanceMatrix * local;
    #endif
    vec4 seen = modelViewMatrix * local;
    // Tops are lit alike all day; sides turn from shade to light as the sun goes round.
    float side = 1.0 - smoothstep(0.5, 0.8, abs(normal.y));
    float toSun = smoothstep(-0.35, 0.75, dot(normal, uSun));
    vColour = colour * (1.0 + 0.34 * side * dot(normal, uSunShift));
    vColour *= mix(uSkyLight, uSunLight, toSun);
    vHaze = clamp((-seen.z - uHaze.x) / (uHaze.y - uHaze.x), 0.0, 0.85);
    gl_Position = projectionMatrix * seen;
  }`;
const facetFragment = /* glsl */ `
  uniform vec3 uFar;
  uniform vec3 uTint;
  uniform float uTinted;
  uniform float uOpacity;
  uniform float uPale;
  varying vec3 vColour;
  varying float vHaze;
  void main() {
    gl_FragColor = vec4(mix(mix(vColour, uTint, uTinted), uFar, max(vHaze, uPale)), uOpacity);
  }`;

const facets = (tint: string, tinted: number, opacity: number) =>
  new ShaderMaterial({
    vertexShader: facetVertex,
    fragmentShader: facetFragment,
    transparent: opacity < 1,
    depthWrite: opacity === 1,
    uniforms: {
      ...SKY,
      uTint: { value: new Color().setRGB(...rgb(tint)) },
      uTinted: { value: tinted },
      uOpacity: { value: opacity },
    },
  });

/** Flat facets in their baked colours. */
export const FACETS = facets('#000000', 0, 1);
/** The same of what stays bright while the rest is pale, drawn over it. */
export const BRIGHT = facets('#000000', 0, 1);
BRIGHT.uniforms.uPale = { value: 0 };
BRIGHT.polygonOffset = true;
BRIGHT.polygonOffsetFactor = -1;
BRIGHT.polygonOffsetUnits = -4;
/** Paint on the ground: drawn over the stone it lies on, however far off that is. */
export const GROUND = facets('#000000', 0, 1);
GROUND.polygonOffset = true;
GROUND.polygonOffsetFactor = -2;
GROUND.polygonOffsetUnits = -8;
/** The ghost where it may go, and where it may not. */
export const GHOST = facets('#86C79A', 0.55, 0.62);
export const GHOST_REFUSED = facets('#B4472E', 0.7, 0.62);

const lines = (hex: string, opacity: number, onTop = false) => {
  const material = new ShaderMaterial({
    vertexShader: /* glsl */ `
      uniform vec2 uHaze;
      varying float vHaze;
      void main() {
        vec4 seen = modelViewMatrix * vec4(position, 1.0);
        // A little nearer than the facets it borders.
        seen.xyz *= 0.9985;
        vHaze = clamp((-seen.z - uHaze.x * 0.5) / (uHaze.y - uHaze.x), 0.0, 0.9);
        gl_Position = projectionMatrix * seen;
      }`,
    fragmentShader: /* glsl */ `
      uniform vec3 uColour;
      uniform float uOpacity;
      varying float vHaze;
      void main() { gl_FragColor = vec4(uColour, uOpacity * (1.0 - vHaze)); }`,
    transparent: true,
    depthWrite: false,
    depthTest: !onTop,
    uniforms: {
      ...SKY,
      uColour: { value: new Color().setRGB(...rgb(hex)) },
      uOpacity: { value: opacity },
    },
  });
  return material;
};

/** Volumes that are only felt: thin, with their edges. */
export const REGION = facets('#5FA7B5', 0.85, 0.2);
REGION.side = DoubleSide;
REGION.depthWrite = false;
/** Ink along edges, white where stone meets water, and the marks of building. */
export const INK = lines('#1F2A2E', 0.5);
/** A recorded run beside the live one. */
export const PALE = facets('#F3EFE7', 0.6, 0.5);
export const PALE_INK = lines('#1F2A2E', 0.3);
export const FOAM = lines('#FFFFFF', 0.75);
export const CHOSEN = lines('#2F5A42', 1, true);
/** What tells a course from an earlier version, over whatever is drawn there. */
export const COMPARED = {
  came: lines('#2F5A42', 1, true),
  gone: lines('#B4472E', 1, true),
  moved: lines('#155A6B', 1, true),
  changed: lines('#7A5A94', 1, true),
};
export const PLUMB = lines('#3F6B52', 0.9);
export const MOVER_PATH = lines('#2C7A8C', 1);
export const REGION_EDGE = lines('#2C7A8C', 0.8);
/** Collision shapes, over whatever is drawn there, and what is allowed about them. */
export const SHAPE = facets('#2C7A8C', 0.9, 0.35);
SHAPE.depthWrite = false;
export const SHAPE_EDGE = lines('#155A6B', 1, true);

/** Water: broken pale bands on tide blue, fading far off. */
export const WATER = new ShaderMaterial({
  side: DoubleSide,
  uniforms: {
    uNear: { value: new Color().setRGB(...rgb('#78A8B0')) },
    uFarWater: { value: FAR.clone() },
    uEye: { value: new Vector3() },
    /** How near stone the water is over a part of the map: west and north edge, width and depth, m. */
    uShallow: { value: null as Texture | null },
    uShallowBox: { value: new Vector4(0, 0, 0, 0) },
    /** Least length of a band, m: long along a stage, flecks where one looks about freely. */
    uDash: { value: 1.3 },
  },
  vertexShader: /* glsl */ `
    varying vec3 vWorld;
    void main() {
      vec4 world = modelMatrix * vec4(position, 1.0);
      vWorld = world.xyz;
      gl_Position = projectionMatrix * viewMatrix * world;
    }`,
  fragmentShader: /* glsl */ `
    uniform vec3 uNear;
    uniform vec3 uFarWater;
    uniform vec3 uEye;
    uniform float uDash;
    uniform sampler2D uShallow;
    uniform vec4 uShallowBox;
    varying vec3 vWorld;
    float hash(float n) { return fract(sin(n * 12.9898) * 43758.5453); }
    void main() {
      float away = distance(vWorld, uEye);
      float k = clamp((away - 18.0) / 190.0, 0.0, 1.0);
      vec3 colour = mix(uNear, uFarWater, sqrt(k));
      if (uShallowBox.z > 0.0) {
        vec2 at = (vWorld.xz - uShallowBox.xy) / uShallowBox.zw;
        if (all(greaterThan(at, vec2(0.0))) && all(lessThan(at, vec2(1.0)))) {
          float near = texture2D(uShallow, at).r;
          // Paler over the rock that goes on under water.
          colour = mix(colour, uFarWater * vec3(0.93, 1.0, 0.97), 0.42 * near * near);
        }
      }
      float row = floor(vWorld.z / 0.9);
      float across = fract(vWorld.z / 0.9);
      float along = vWorld.x / (uDash * (1.0 + 0.85 * hash(row))) + 40.0 * hash(row + 7.0);
      float dash = step(0.62, hash(floor(along) + row * 3.7)) * step(fract(along), 0.72);
      float thin = smoothstep(0.10, 0.03, abs(across - 0.5) * (0.55 + 12.0 / away));
      float fade = 1.0 - smoothstep(25.0, 85.0, away);
      colour = mix(colour, vec3(0.87, 0.925, 0.92), 0.55 * dash * thin * fade);
      gl_FragColor = vec4(colour, 1.0);
    }`,
});

/** The sky about everything: clear above, haze at the water, and a glow where a low sun stands. */
export const DOME = new ShaderMaterial({
  side: DoubleSide,
  depthWrite: false,
  depthTest: false,
  vertexShader: /* glsl */ `
    uniform vec3 uFar;
    uniform vec3 uAbove;
    uniform vec3 uGlow;
    uniform vec3 uSun;
    varying vec3 vSky;
    void main() {
      // Half of it stands under the water, so that haze is all there is at the horizon.
      float up = smoothstep(0.0, 0.45, position.y);
      float near = max(0.0, dot(normalize(position.xz), normalize(uSun.xz)));
      vSky = mix(mix(uFar, uGlow, near * near), uAbove, up);
      gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0);
    }`,
  fragmentShader: /* glsl */ `
    varying vec3 vSky;
    void main() { gl_FragColor = vec4(vSky, 1.0); }`,
  uniforms: {
    uFar: SKY.uFar,
    uSun: SKY.uSun,
    uAbove: { value: new Color() },
    uGlow: { value: new Color() },
  },
});

/**
 * What is hidden of something that must never be lost from sight, hatched over whatever hides it. It is to
 * be drawn after all that may hide it and before the thing itself, which then hides none of itself.
 */
export const BEHIND = new ShaderMaterial({
  depthFunc: GreaterDepth,
  depthWrite: false,
  vertexShader: /* glsl */ `
    void main() {
      vec4 seen = modelViewMatrix * vec4(position, 1.0);
      // What is half a metre or less behind, as a foot in the ground, is not hidden.
      seen.xyz *= 1.0 - 0.5 / length(seen.xyz);
      gl_Position = projectionMatrix * seen;
    }`,
  fragmentShader: /* glsl */ `
    uniform vec3 uInk;
    uniform vec3 uPaper;
    void main() {
      float stripe = step(0.5, fract((gl_FragCoord.x + gl_FragCoord.y) / 7.0));
      gl_FragColor = vec4(mix(uInk, uPaper, stripe), 1.0);
    }`,
  uniforms: {
    uInk: { value: new Color().setRGB(...rgb('#44545A')) },
    uPaper: { value: new Color().setRGB(...rgb('#FBF9F2')) },
  },
});

/** One plain colour: far skerries and the shadow under the runner. */
export const plain = (hex: string, opacity = 1) =>
  new ShaderMaterial({
    side: DoubleSide,
    transparent: opacity < 1,
    depthWrite: opacity === 1,
    vertexShader: /* glsl */ `void main() { gl_Position = projectionMatrix * modelViewMatrix * vec4(position, 1.0); }`,
    fragmentShader: /* glsl */ `uniform vec3 uColour; uniform float uOpacity; uniform vec3 uLight; void main() { gl_FragColor = vec4(uColour * uLight, uOpacity); }`,
    uniforms: {
      uColour: { value: new Color().setRGB(...rgb(hex)) },
      uOpacity: { value: opacity },
      uLight: SKY.uLight,
    },
  });
