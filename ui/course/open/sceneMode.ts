import { useCourse } from '../../state/courseStore';
import { useLay, useLayOf, type LayState } from './laying';
import { useTune, useTuneOf } from './tuneStore';

/** Something begun on the scene that lasts: until it ends, touches do what it says. */
export interface SceneMode {
  /** What the next touch does, as a sentence without its stop. */
  readonly words: string;
  /** A touch beside everything ends it. Otherwise only Escape or a touch on its line does. */
  readonly endsBeside: boolean;
  readonly end: () => void;
}

const TUNING = ['picking', 'drawingPath', 'posing', 'set'] as const;
const CHOOSING = ['tool', 'cornering', 'adding', 'dragCopies', 'picking'] as const;
const ENDINGS = ['endCornering', 'toggleChoosing', 'togglePicking'] as const;

type Tuning = Pick<ReturnType<typeof useTune.getState>, (typeof TUNING)[number]>;
type Laying = Pick<LayState, (typeof CHOOSING)[number] | (typeof ENDINGS)[number]>;

/** The mode that the next touch belongs to. Null where a touch chooses or lays. */
export function sceneModeOf(tuning: Tuning, laying: Laying): SceneMode | null {
  const { picking, drawingPath, posing, set } = tuning;
  if (picking) {
    return { words: picking.words, endsBeside: true, end: () => set({ picking: null }) };
  }
  if (drawingPath) {
    const end = () => set({ drawingPath: false, pathPoint: null });
    return { words: 'Each touch adds a point to the path', endsBeside: false, end };
  }
  if (posing !== null) {
    const end = () => set({ posing: null });
    return { words: 'Drag the piece to where this pose brings it', endsBeside: true, end };
  }
  return layingMode(laying);
}

function layingMode(laying: Laying): SceneMode | null {
  const { tool, cornering, adding, dragCopies, picking } = laying;
  if (cornering) {
    const words = cornering.own
      ? 'Touch the corner to go to'
      : 'Touch a corner of the chosen piece';
    return { words, endsBeside: true, end: laying.endCornering };
  }
  if (picking && tool === 'paint') {
    const words = 'Touch a piece to take up its paint';
    return { words, endsBeside: false, end: laying.togglePicking };
  }
  if (tool !== 'pieces') return null;
  if (adding) {
    const end = () => laying.toggleChoosing('adding');
    return { words: 'Each touch adds a piece, or takes it out again', endsBeside: true, end };
  }
  if (dragCopies) {
    const end = () => laying.toggleChoosing('dragCopies');
    return { words: 'A drag leaves the piece and moves a copy', endsBeside: true, end };
  }
  return null;
}

const modeNow = (): SceneMode | null => sceneModeOf(useTune.getState(), useLay.getState());

/** Ends the mode that is on. Returns false where there is none. */
export function endSceneMode(): boolean {
  const mode = modeNow();
  mode?.end();
  return mode !== null;
}

/** A touch beside everything: ends the mode that is on if it is its way out. */
export function touchBeside(): boolean {
  const mode = modeNow();
  if (!mode?.endsBeside) return false;
  mode.end();
  return true;
}

/** The mode that is on, for what shows it. */
export function useSceneMode(): SceneMode | null {
  return sceneModeOf(useTuneOf(...TUNING), useLayOf(...CHOOSING, ...ENDINGS));
}

const isSameSet = (a: ReadonlySet<string>, b: ReadonlySet<string>): boolean =>
  a.size === b.size && [...a].every((id) => b.has(id));

// What was begun for one choice is over when another is made.
useCourse.subscribe(({ choice }, { choice: before }) => {
  if (choice === before || isSameSet(choice, before)) return;
  const { picking, drawingPath, posing, set } = useTune.getState();
  if (picking || drawingPath || posing !== null) {
    set({ picking: null, drawingPath: false, pathPoint: null, posing: null });
  }
  if (useLay.getState().cornering) useLay.getState().endCornering();
});
