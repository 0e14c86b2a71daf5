import { useThree } from '@react-three/fiber';
import { useEffect } from 'react';
import { Color, Vector3 } from 'three';
import type { Sky } from '@/core/course';
import { sub } from '@/core/geometry';
import { rgb } from '@/core/pieces';
import { daylight, lightsAt, sunAt, USUAL_HOUR } from './daylight';
import { DOME, SKY, WATER } from './materials';

export const USUAL_SIGHT = 420;
export const USUAL_TIDE = '#78A8B0';

const FAR = new Color().setRGB(...rgb('#B8D1D1'));
const PAPER = new Color().setRGB(...rgb('#E9EEE9'));
const DUSK = new Color().setRGB(...rgb('#D9A98A'));
const GLOW = new Color().setRGB(...rgb('#F2C08A'));
const NIGHT = new Color().setRGB(...rgb('#3A4A5E'));

/** Where the open course's haze begins and is all there is for an eye as near as usual, m. */
let clear: readonly [number, number] = [90, USUAL_SIGHT];

/** Sets the haze for an eye that is so many times as far off as usual: from up there one sees as much. */
export function setHaze(by: number): void {
  SKY.uHaze.value[0] = clear[0] * by;
  SKY.uHaze.value[1] = clear[1] * by;
}

/** Sets the light, the haze and the water's colour of a course; the usual where it says nothing. */
export function useSky(sky: Sky | undefined): void {
  const invalidate = useThree((s) => s.invalidate);
  const { hour = USUAL_HOUR, sight = USUAL_SIGHT, tide = USUAL_TIDE } = sky ?? {};
  useEffect(() => {
    const { light, warmth } = daylight(hour);
    const haze = FAR.clone()
      .lerp(DUSK, warmth * 0.7)
      .lerp(NIGHT, 1 - light);
    SKY.uFar.value.copy(haze);
    clear = [Math.min(90, sight * 0.22), sight];
    SKY.uLight.value = new Vector3(
      light * (1 + 0.06 * warmth),
      light * (1 - 0.04 * warmth),
      light * (1 - 0.14 * warmth),
    );
    const { sun, sky: dim } = lightsAt(hour);
    SKY.uSunLight.value.set(...sun);
    SKY.uSkyLight.value.set(...dim);
    SKY.uSun.value.set(...sunAt(hour));
    DOME.uniforms.uAbove.value.copy(skyColour({ hour }));
    DOME.uniforms.uGlow.value.copy(haze).lerp(GLOW, 0.75 * warmth * light);
    SKY.uSunShift.value.set(...sub(sunAt(hour), sunAt(USUAL_HOUR)));
    WATER.uniforms.uNear.value
      .setRGB(...rgb(tide))
      .multiplyScalar(light)
      .lerp(haze, 0.1 * warmth);
    WATER.uniforms.uFarWater.value.copy(haze);
    invalidate();
  }, [hour, sight, tide, invalidate]);
}

/** The colour behind everything: paper by day, warm towards evening. */
export function skyColour(sky: Sky | undefined): Color {
  const { light, warmth } = daylight(sky?.hour ?? USUAL_HOUR);
  return PAPER.clone()
    .lerp(DUSK, warmth * 0.45)
    .lerp(NIGHT, 0.9 * (1 - light));
}
