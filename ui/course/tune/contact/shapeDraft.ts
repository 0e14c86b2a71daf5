import { movePartPoint, withPart } from '@/core/edit';
import type { DrawnShape } from '@/core/course';
import type { Vec2 } from '@/core/geometry';

/** A point of a part of the shape; -1 where the part alone is held. */
export interface Held {
  readonly part: number;
  readonly point: number;
}

/** A shape while it is drawn, before it is kept. */
export interface ShapeDraft {
  readonly shape: DrawnShape;
  /** How it was before each step, the latest last. */
  readonly past: readonly DrawnShape[];
  readonly held: Held;
  /** A knob is under the finger and has not been dragged yet. */
  readonly taken: boolean;
}

/** What is done to a shape that is drawn. */
export type DraftEvent =
  /** One step: the shape it becomes, and what of it is held then. */
  | { readonly do: 'change'; readonly shape: DrawnShape; readonly held?: Held }
  | { readonly do: 'hold'; readonly held: Held }
  /** A knob is taken hold of. */
  | { readonly do: 'take'; readonly held: Held }
  /** It is dragged to a place in the shape's own measure; all of one drag is one step. */
  | { readonly do: 'drag'; readonly to: Vec2 }
  | { readonly do: 'undo' };

/** A shape as it is when its drawing begins. */
export const beginDraft = (shape: DrawnShape): ShapeDraft => ({
  shape,
  past: [],
  held: { part: 0, point: -1 },
  taken: false,
});

/** The shape after something was done to it. */
export function draftStep(draft: ShapeDraft, event: DraftEvent): ShapeDraft {
  switch (event.do) {
    case 'change':
      return within({
        shape: event.shape,
        past: [...draft.past, draft.shape],
        held: event.held ?? draft.held,
        taken: false,
      });
    case 'hold':
      return { ...draft, held: event.held, taken: false };
    case 'take':
      return { ...draft, held: event.held, taken: true };
    case 'drag': {
      const { shape, held, past, taken } = draft;
      const moved = movePartPoint(shape.parts[held.part], held.point, event.to);
      return {
        shape: withPart(shape, held.part, moved),
        past: taken ? [...past, shape] : past,
        held,
        taken: false,
      };
    }
    case 'undo': {
      const before = draft.past.at(-1);
      if (!before) return draft;
      return within({ ...draft, shape: before, past: draft.past.slice(0, -1), taken: false });
    }
  }
}

/** What is held is one of the parts there are, and one of its points. */
function within(draft: ShapeDraft): ShapeDraft {
  const { shape, held } = draft;
  const part = Math.min(held.part, shape.parts.length - 1);
  const outline = shape.parts[part];
  const gone = outline?.kind === 'outline' && held.point >= outline.points.length;
  if (part === held.part && !gone) return draft;
  return { ...draft, held: { part, point: -1 } };
}
