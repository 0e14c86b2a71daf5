import type { ViewStyle } from 'react-native';
import { motionReduced } from '../device/motion';

type Keyframes = Readonly<Record<string, object>>;

const animated = (frames: Keyframes, ms: number): ViewStyle =>
  motionReduced()
    ? {}
    : ({
        animationKeyframes: [frames],
        animationDuration: `${ms}ms`,
        animationTimingFunction: 'ease-out',
      } as ViewStyle);

/** Something that was just counted swells for a moment. Give it a key that changes with the count. */
export const swells = (): ViewStyle =>
  animated({ '0%': { transform: 'scale(1.35)' }, '100%': { transform: 'scale(1)' } }, 260);

/** Something that comes up from below. */
export const comesUp = (): ViewStyle =>
  animated(
    {
      '0%': { transform: 'translateY(60px)', opacity: 0 },
      '100%': { transform: 'translateY(0)', opacity: 1 },
    },
    280,
  );
