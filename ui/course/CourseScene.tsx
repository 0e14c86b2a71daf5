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
import { useCourse } from '../state/courseStore';
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
  const { course, choice, inHand } = useCourse();
  const steps = useLay((s) => s.steps);
  const level = useLay((s) => s.level);
  const depth = useLay((s) => s.depth);
  const tool = useLay((s) => s.tool);
  const mode = useView((s) => s.mode);
  const target = useView((s) => s.target);
  const tide = useMemo(() => tideLine(course), [course]);
  const plane = planeOf(mode, { level, depth });
  const moment = useRef<Moment>(restingMoment());
  const showShapes = useTune((s) => s.shapes);
  const pivoting = useLay((s) => s.pivot !== null);
  const tuning = useTune((s) => (s.picking ? 'pick' : s.drawingPath ? 'path' : null));
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
  const lively = useMemo(
    () => livelyPieces({ pieces, links: course.links }),
    [pieces, course.links],
  );
  const still = useMemo(() => shown.filter(({ id }) => !lively.has(id)), [shown, lively]);
  const felt = useMemo(
    () => shown.filter(({ family }) => findFamily(family)?.group === 'regions'),
    [shown],
  );
  const chosen = useMemo(() => pieces.filter(({ id }) => choice.has(id)), [pieces, choice]);
  useGestures(
    host,
    useMemo(() => toolFor(work, tool, tuning, pivoting), [work, tool, tuning, pivoting]),
  );
  const gridded =
    (building && inHand) || work === 'sketch' || (work === 'lay' && tool !== 'pieces');

  return (
    <View ref={host} testID="scene" style={{ position: 'absolute', inset: 0 }}>
      <Canvas running={false}>
        <Surroundings tide={tide} sky={course.sky} />
        {course.sketch?.picture && (
          <UnderPicture
            picture={course.sketch.picture}
            shown={work === 'sketch' ? 0.9 : (course.sketch.shown ?? 0.6)}
          />
        )}
        <Scrubbed course={course} moment={moment} />
        <StillPieces pieces={still} tide={tide} />
        <MovingPieces pieces={shown} lively={lively} moment={moment} />
        {building && felt.length > 0 && <Regions pieces={felt} />}
        {building && showShapes && <ContactShapes course={course} pieces={shown} moment={moment} />}
        <BoardTexts pieces={shown} />
        {gridded && <PlaneGrid plane={plane} step={steps[0]} about={target} />}
        {building && inHand && <GhostInHand inHand={inHand} tide={tide} />}
        {building && chosen.length > 0 && <Chosen pieces={chosen} />}
      </Canvas>
      {work !== 'look' && <Overlay sketchOnly={work === 'sketch'} />}
      {building && <TuneOverlay />}
      {work === 'lay' && <KeyHold />}
    </View>
  );
}

/** The ghost by itself, so that following the pointer touches nothing else of the scene. */
function GhostInHand({ inHand, tide }: { inHand: PieceInHand; tide: number }) {
  const course = useCourse((s) => s.course);
  const row = useLay((s) => s.row);
  const ghost = useGhost(course, inHand);
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
