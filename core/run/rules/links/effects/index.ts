import { applyBack } from './back';
import { applyBreak } from './break';
import { applyCarry } from './carry';
import { applyGravity } from './gravity';
import { applyHide } from './hide';
import { applyMessage } from './message';
import { applyOpen } from './open';
import { applyPoints } from './points';
import { applyPush } from './push';
import { applyShow } from './show';
import { applyShut } from './shut';
import { applySize } from './size';
import { applySound } from './sound';
import { applySpeed } from './speed';
import { applyStart } from './start';
import { applyStill } from './still';
import { applyStop } from './stop';
import { applyTide } from './tide';
import { applyWin } from './win';
import type { EffectKind } from '../../../../course';
import type { ApplyEffect } from './effect';

export type { EffectContext } from './effect';

/** What each kind of effect does. */
export const APPLY_EFFECT: Readonly<Record<EffectKind, ApplyEffect>> = {
  show: applyShow,
  hide: applyHide,
  open: applyOpen,
  shut: applyShut,
  break: applyBreak,
  start: applyStart,
  stop: applyStop,
  carry: applyCarry,
  push: applyPush,
  gravity: applyGravity,
  speed: applySpeed,
  size: applySize,
  still: applyStill,
  tide: applyTide,
  message: applyMessage,
  points: applyPoints,
  sound: applySound,
  win: applyWin,
  back: applyBack,
};
