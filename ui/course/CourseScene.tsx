import { useEffect, useMemo, useRef } from 'react';
import { View } from 'react-native';
import { isHidden, type PieceInHand } from '@/core/assemble';
import type { Piece } from '@/core/course';
import { findFamily } from '@/core/pieces';
import { livelyPieces, tideLine } from '@/core/run';
import {
  BoardTexts,
  Canvas,
  Chosen,
  ContactShapes,
  Ghost,
  Ghosts,
  MovingPieces,
  movesInPart,
  PlaneGrid,
  Regions,
  restingMoment,
  StillPieces,
  Surroundings,
  UnderPicture,
  useGestures,
  useView,
  type Moment,
  type Tool,
} from '../scene';
import { useCourse, useTold } from '../state/courseStore';
import { useSame } from '../state/useSame';
import { planeOf, useLay, type LayTool } from './layStore';
import { Overlay } from './overlay/Overlay';
import { TuneOverlay } from './overlay/TuneOverlay';
import { Scrubbed } from './Scrubbed';
import { sketchTool, TOOLS } from './tools';
import { pivotTool } from './tools/pivotTool';
import { pathTool, pickTool } from './tools/tuneTools';
import { useTune } from './tune/tuneStore';
import { useGhost } from './useGhost';

/** What is being done over the scene: looked at, built, tuned, or sketched. */
export type Work = 'look' | 'lay' | 'tune' | 'sketch';

const toolFor = (
  work: Work,
  tool: LayTool,
  tuning: 'pick' | 'path' | null,
  pivoting: boolean,
): Tool => {
  if (work === 'look') return {};
  if (pivoting && work === 'lay') return pivotTool();
  if (tuning && work !== 'sketch') return tuning === 'pick' ? pickTool() : pathTool();
  if (work === 'sketch') return sketchTool();
  return TOOLS[work === 'tune' ? 'pieces' : tool]();
};

/** The scene of a course being built, with what the tool in use shows over it. */
export function CourseScene({ work }: { work: Work }) {
  const host = useRef<View>(null);
  const tool = useLay((s) => s.tool);
  const pivoting = useLay((s) => s.pivot !== null);
  const tuning = useTune((s) => (s.picking ? 'pick' : s.drawingPath ? 'path' : null));
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
  return (
    <View ref={host} testID="scene" style={{ position: 'absolute', inset: 0 }}>
      {canvas}
      {work !== 'look' && <Overlay sketchOnly={work === 'sketch'} />}
      {(work === 'lay' || work === 'tune') && <TuneOverlay />}
      {work === 'lay' && <KeyHold />}
    </View>
  );
}

/** All that is in the scene. */
function Contents({ work }: { work: Work }) {
  const course = useCourse((s) => s.course);
  const choice = useCourse((s) => s.choice);
  const inHand = useCourse((s) => s.inHand);
  const told = useTold();
  const tide = useMemo(() => tideLine(told), [told]);
  const moment = useRef<Moment>(restingMoment());
  const showShapes = useTune((s) => s.shapes);
  const { pieces, layers } = course;
  const building = work === 'lay' || work === 'tune';
  // What is hidden while building is there in every run.
  const shown = useMemo(
    () =>
      pieces.some((piece) => isHidden(course, piece))
        ? pieces.filter((piece) => !isHidden(course, piece))
        : pieces,
    // Only these two decide what is hidden.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [pieces, layers],
  );
  // Most edits leave much as it is: what is made of that stays.
  const lively = useSame(
    useMemo(() => livelyPieces({ pieces, links: course.links }), [pieces, course.links]),
  );
  const still = useMemo(() => shown.filter(({ id }) => !lively.has(id)), [shown, lively]);
  const moving = useSame(
    useMemo(
      () => shown.filter((piece) => lively.has(piece.id) || movesInPart(piece)),
      [shown, lively],
    ),
  );
  const felt = useSame(
    useMemo(() => shown.filter(({ family }) => findFamily(family)?.group === 'regions'), [shown]),
  );
  const boards = useSame(useMemo(() => shown.filter(({ family }) => family === 'board'), [shown]));
  const chosen = useMemo(() => pieces.filter(({ id }) => choice.has(id)), [pieces, choice]);
  return (
    <>
      <Surroundings tide={tide} sky={course.sky} />
      {course.sketch?.picture && (
        <UnderPicture
          picture={course.sketch.picture}
          shown={work === 'sketch' ? 0.9 : (course.sketch.shown ?? 0.6)}
        />
      )}
      <Scrubbed course={told} moment={moment} />
      <StillPieces pieces={still} tide={tide} />
      <MovingPieces pieces={moving} lively={lively} moment={moment} />
      {building && felt.length > 0 && <Regions pieces={felt} />}
      {building && showShapes && <ContactShapes course={course} pieces={shown} moment={moment} />}
      <BoardTexts pieces={boards} />
      <Grid work={work} handed={building && inHand !== null} />
      {building && inHand && <GhostInHand inHand={inHand} tide={tide} />}
      {building && chosen.length > 0 && <Chosen pieces={chosen} />}
    </>
  );
}

/** The work plane's grid about the place looked at, while something may be laid on it. */
function Grid({ work, handed }: { work: Work; handed: boolean }) {
  const steps = useLay((s) => s.steps);
  const level = useLay((s) => s.level);
  const depth = useLay((s) => s.depth);
  const tool = useLay((s) => s.tool);
  const mode = useView((s) => s.mode);
  const target = useView((s) => s.target);
  if (!handed && work !== 'sketch' && !(work === 'lay' && tool !== 'pieces')) return null;
  return <PlaneGrid plane={planeOf(mode, { level, depth })} step={steps[0]} about={target} />;
}

/** The ghost by itself, so that following the pointer touches nothing else of the scene. */
function GhostInHand({ inHand, tide }: { inHand: PieceInHand; tide: number }) {
  const row = useLay((s) => s.row);
  const ghost = useGhost(useTold(), inHand);
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

/** While the Alt key is held nothing snaps. */
function KeyHold() {
  useEffect(() => {
    const held = (event: KeyboardEvent) => {
      if (event.key === 'Alt') useLay.getState().set({ letGo: event.type === 'keydown' });
    };
    const away = () => useLay.getState().set({ letGo: false });
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
