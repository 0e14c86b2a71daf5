import { useEffect, useMemo, useRef, type RefObject } from 'react';
import { View } from 'react-native';
import { chosenOf, layKit, warmIndexes, type PieceInHand } from '@/core/edit';
import { emptyCourse, type Piece } from '@/core/course';
import { tideLine } from '@/core/run';
import type { Eye } from '@/core/sight';
import {
  Canvas,
  Chosen,
  ContactShapes,
  Fitting,
  Ghost,
  Ghosts,
  GroundPaint,
  Inset,
  PlaneGrid,
  restingMoment,
  Surroundings,
  UnderPicture,
  useGestures,
  useView,
  type FrameState,
  type Tool,
} from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useLastRun } from '../../state/lastRun';
import { useDebouncedCourse, useDebouncedOf } from '../../state/debouncedCourse';
import { useSame } from '../../state/useSame';
import { Laid } from './Laid';
import { planeOf, useLay, type LayTool } from '../open/laying';
import { Overlay } from './overlay/Overlay';
import { TuneOverlay } from './overlay/TuneOverlay';
import { RunLines } from './RunLines';
import { Scrubbed } from './Scrubbed';
import { insetFrame, playersEye, type FrameShape } from '../open/playersEye';
import { sketchTool, TOOLS } from '../tools';
import { useKitHand } from '../tools/kitTool';
import { pivotTool } from '../tools/pivotTool';
import { pathTool } from '../tools/pathTool';
import { pickTool } from '../tools/pickTool';
import { poseTool } from '../tools/poseTool';
import { useTune, useTuneOf } from '../open/tuneStore';
import { useMeantWay } from '../open/useMeantWay';
import { ComparedInScene } from './ComparedScene';
import { useGhost } from './useGhost';

/** What is being done over the scene: looked at, built, tuned, or sketched. */
export type Work = 'look' | 'lay' | 'tune' | 'sketch';

/** What is being tuned over the scene: a piece touched for something, a path drawn, a pose taken. */
type Tuning = 'pick' | 'path' | 'pose';
const TUNING: Record<Tuning, () => Tool> = { pick: pickTool, path: pathTool, pose: poseTool };

const toolFor = (work: Work, tool: LayTool, tuning: Tuning | null, pivoting: boolean): Tool => {
  if (work === 'look') return {};
  if (pivoting && work === 'lay') return pivotTool();
  if (tuning && work !== 'sketch') return TUNING[tuning]();
  if (work === 'sketch') return sketchTool();
  return TOOLS[work === 'tune' ? 'pieces' : tool]();
};

/** The scene of a course being built, with what the tool in use shows over it. */
export function CourseScene({ work }: { work: Work }) {
  const host = useRef<View>(null);
  const tool = useLay((s) => s.tool);
  const pivoting = useLay((s) => s.pivot !== null);
  const tuning = useTune((s): Tuning | null =>
    s.picking ? 'pick' : s.drawingPath ? 'path' : s.posing !== null ? 'pose' : null,
  );
  useGestures(
    host,
    useMemo(() => toolFor(work, tool, tuning, pivoting), [work, tool, tuning, pivoting]),
  );
  // The canvas itself does not follow the course: having it drawn anew costs more than what is in it.
  const canvas = useMemo(
    () => (
      <Canvas running={false}>
        <Contents work={work} />
      </Canvas>
    ),
    [work],
  );
  // Where the eye is, for whoever drives the page from outside.
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element?.dataset) return;
    const note = ({ target, distance, yaw, pitch }: Eye) => {
      element.dataset.eye = JSON.stringify({ target, distance, yaw, pitch });
    };
    note(useView.getState());
    return useView.subscribe(note);
  }, []);
  return (
    <View ref={host} testID="scene" style={{ position: 'absolute', inset: 0 }}>
      {canvas}
      {work !== 'look' && <Overlay sketchOnly={work === 'sketch'} />}
      {(work === 'lay' || work === 'tune') && <TuneOverlay />}
      {work === 'lay' && <KeyHold />}
      <Ready />
    </View>
  );
}

/** All that is in the scene. */
function Contents({ work }: { work: Work }) {
  const sketch = useCourse((s) => s.course.sketch);
  const sky = useCourse((s) => s.course.sky);
  const inHand = useCourse((s) => s.inHand);
  const tide = useDebouncedOf(tideLine);
  const moment = useRef<FrameState>(restingMoment());
  const showShapes = useTune((s) => s.shapes);
  const building = work === 'lay' || work === 'tune';
  return (
    <>
      <Surroundings tide={tide} sky={sky} />
      {sketch?.picture && (
        <UnderPicture
          picture={sketch.picture}
          shown={sketch.picture.shown ?? (work === 'sketch' ? 0.9 : 0.6)}
        />
      )}
      <Painted />
      <Scrubbed moment={moment} />
      <Laid tide={tide} moment={moment} building={building} />
      <RunLines />
      <ComparedInScene />
      {building && showShapes && <Shapes moment={moment} />}
      <Grid work={work} handed={building && inHand !== null} />
      {building && <KitGhost />}
      {building && inHand && <GhostInHand inHand={inHand} tide={tide} />}
      {building && <ChosenNow />}
      {building && <FittingNow />}
      {building && <PlayersInset />}
    </>
  );
}

/** The paint on the ground, seen as it is put on; what it lies on is as it was when the hand last rested. */
function Painted() {
  const ground = useCourse((s) => s.course.ground);
  const { pieces } = useDebouncedCourse();
  return <GroundPaint course={{ ground, pieces }} />;
}

/** What players see at a part of the way, small, in a corner. */
function PlayersInset() {
  const { frameAt, frameShape } = useTuneOf('frameAt', 'frameShape');
  return frameAt === null ? null : <InsetAt at={frameAt} shape={frameShape} />;
}

function InsetAt({ at, shape }: { at: number; shape: FrameShape }) {
  const course = useCourse((s) => s.course);
  const run = useLastRun((s) => s.way);
  const meant = useMeantWay(course);
  const height = useView((s) => s.height);
  const seen = playersEye(course, run ?? meant.way, at, shape);
  return seen && <Inset eye={seen.look} frame={insetFrame(shape, height)} />;
}

/** The collision shapes of all pieces, also of those hidden while building: they are there in a run. */
function Shapes({ moment }: { moment: RefObject<FrameState> }) {
  const course = useCourse((s) => s.course);
  return <ContactShapes course={course} pieces={course.pieces} moment={moment} />;
}

/** The chosen pieces' outlines, wherever the hand has taken them. */
function ChosenNow() {
  const chosen = useSame(useCourse((s) => chosenOf(s.course, s.choice)));
  return chosen.length > 0 ? <Chosen pieces={chosen} /> : null;
}

/** While a piece is to be touched for something: those that will do. */
function FittingNow() {
  const misfit = useTune((s) => s.picking?.misfit);
  const course = useCourse((s) => (misfit ? s.course : null));
  const fitting = useSame(
    useMemo(
      () => course?.pieces.filter((piece) => misfit?.(course, piece) === null) ?? [],
      [course, misfit],
    ),
  );
  return misfit ? <Fitting pieces={fitting} /> : null;
}

/** The work plane's grid about the place looked at, while something may be laid on it. */
function Grid({ work, handed }: { work: Work; handed: boolean }) {
  const steps = useLay((s) => s.steps);
  const level = useLay((s) => s.level);
  const depth = useLay((s) => s.depth);
  const origin = useLay((s) => s.gridOrigin);
  const turn = useLay((s) => s.gridTurn);
  const frame = useMemo(() => ({ origin, turn }), [origin, turn]);
  const tool = useLay((s) => s.tool);
  const mode = useView((s) => s.mode);
  const target = useView((s) => s.target);
  if (!handed && work !== 'sketch' && !(work === 'lay' && tool !== 'pieces')) return null;
  return (
    <PlaneGrid
      plane={planeOf(mode, { level, depth })}
      step={steps[0]}
      about={target}
      frame={frame}
    />
  );
}

/** The ghost by itself, so that following the pointer touches nothing else of the scene. */
function GhostInHand({ inHand, tide }: { inHand: PieceInHand; tide: number }) {
  const row = useLay((s) => s.row);
  const ghost = useGhost();
  if (row) return <Ghosts pieces={row.map((piece, i): Piece => ({ ...piece, id: `row${i}` }))} />;
  if (!ghost) return null;
  return (
    <Ghost
      form={inHand}
      at={ghost.piece.at}
      turn={ghost.piece.turn}
      refused={ghost.refused !== null}
      tide={tide}
    />
  );
}

/** The assembly of the kit in hand, where it would land. */
function KitGhost() {
  const { kit, at } = useKitHand();
  const tool = useLay((s) => s.tool);
  const pieces = useMemo(
    () => (kit && at ? layKit(emptyCourse('Kit', 'free'), kit, at).course.pieces : null),
    [kit, at],
  );
  return pieces && tool === 'kit' ? <Ghosts pieces={pieces} /> : null;
}

/** Has the next touch find what it needs at hand. */
function Ready() {
  const told = useDebouncedCourse();
  useEffect(() => warmIndexes(told), [told]);
  return null;
}

/** While the Alt key is held nothing snaps. */
function KeyHold() {
  useEffect(() => {
    const held = (event: KeyboardEvent) => {
      if (event.key === 'Alt') useLay.getState().suspendSnapping(event.type === 'keydown');
    };
    const away = () => useLay.getState().suspendSnapping(false);
    window.addEventListener('keydown', held);
    window.addEventListener('keyup', held);
    window.addEventListener('blur', away);
    return () => {
      window.removeEventListener('keydown', held);
      window.removeEventListener('keyup', held);
      window.removeEventListener('blur', away);
    };
  }, []);
  return null;
}
