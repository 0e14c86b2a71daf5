import type { Course, Piece } from '@/core/course';
import type { ManualTrigger } from '@/core/run';
import { create } from 'zustand';
import { picker } from '../../state/picker';
import type { FrameShape } from './playersEye';

/** What the figures of a chosen piece are about. */
export const TUNE_TABS = ['place', 'contact', 'motion', 'links'] as const;
export type TuneTab = (typeof TUNE_TABS)[number];

interface TuneState {
  readonly tab: TuneTab;
  /** Whether collision shapes are drawn over the pictures. */
  readonly shapes: boolean;
  /** The scrubber: seconds shown, whether it runs, and how fast. */
  readonly at: number;
  readonly playing: boolean;
  readonly speed: number;
  /** Cues given by hand while the motion plays. */
  readonly tried: readonly ManualTrigger[];
  /** Movers whose phases are laid beside the chosen one's. */
  readonly beside: readonly string[];
  /** Ghosts of the chosen mover all along its motion. */
  readonly onion: boolean;
  /** A path being drawn on the scene, and the point of it that is held. */
  readonly drawingPath: boolean;
  readonly pathPoint: number | null;
  /** Which pose is being taken from where the chosen piece is dragged. */
  readonly posing: number | null;
  /** Which pose the figures are about. */
  readonly posed: number;
  /** Touching pieces for something: a link's cue or effect, or what to attach to. */
  readonly picking: Picking | null;
  /** The link that is open. */
  readonly link: string | null;
  /** The piece whose shape is being drawn. */
  readonly shaping: string | null;
  /** The course's camera shown as a frame, at a part of its way. */
  readonly frameAt: number | null;
  /** Whose frame that is: a phone's or a wide screen's. */
  readonly frameShape: FrameShape;
  set: (change: Partial<Omit<TuneState, 'set'>>) => void;
}

/** A piece is to be touched for something. */
export interface Picking {
  /** What the next touch is for. */
  readonly words: string;
  /** Says why a piece will not do, as a sentence; null where it will. Any will where it is left out. */
  readonly misfit?: (course: Course, piece: Piece) => string | null;
  readonly take: (id: string) => void;
}

/** How a course is being tuned. */
export const useTune = create<TuneState>()((set) => ({
  tab: 'place',
  shapes: false,
  at: 0,
  playing: false,
  speed: 1,
  tried: [],
  beside: [],
  onion: false,
  drawingPath: false,
  pathPoint: null,
  posing: null,
  posed: 0,
  picking: null,
  link: null,
  shaping: null,
  frameAt: null,
  frameShape: 'phone',
  set,
}));

/** Some of it by name. */
export const useTuneOf = picker(useTune);

/** Lets go of whatever was begun on the scene. */
export const endTuning = (): void =>
  useTune.getState().set({
    playing: false,
    at: 0,
    tried: [],
    drawingPath: false,
    pathPoint: null,
    posing: null,
    picking: null,
    frameAt: null,
  });
