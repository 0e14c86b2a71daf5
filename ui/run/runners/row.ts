import type { RunnerDial } from '@/core/edit';
import type { RunnerSettings } from '@/core/course';

/** A setting of a runner as it is shown. */
interface Dial {
  readonly key: RunnerDial;
  readonly label: string;
  readonly unit: string;
  readonly step: number;
}

/** A button held by a thumb: its name, and its sign as paths on a field of 52 by 52. */
export interface Held {
  readonly name: string;
  readonly mark: readonly string[];
}

/** A kind of runner as it is shown and worked. */
export interface RunnerRow {
  readonly label: string;
  readonly hint: string;
  readonly dials: readonly Dial[];
  /** What it may be able to do besides. */
  readonly skills?: readonly { readonly key: keyof RunnerSettings; readonly label: string }[];
  /**
   * How it is worked: walked over the pad and helped by a button; steered by the pad's sides and driven by
   * pedals; or struck, once it lies still.
   */
  readonly controls:
    | { readonly kind: 'pad'; readonly button: Held }
    | { readonly kind: 'pedals'; readonly drive: Held; readonly brake: Held }
    | { readonly kind: 'strokes' };
}
