import { memo, useMemo, useState, type RefObject } from 'react';
import { isHidden } from '@/core/edit';
import type { Course, Piece } from '@/core/course';
import { findFamily } from '@/core/pieces';
import { dynamicPieces } from '@/core/run';
import {
  BoardTexts,
  MovingPieces,
  movesInPart,
  rigidOffset,
  dragPartition,
  Regions,
  StillPieces,
  type FrameState,
} from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useDragState } from '../../device/dragState';
import { useSame } from '../../state/useSame';

interface LaidProps {
  readonly tide: number;
  readonly moment: RefObject<FrameState>;
  /** Whether what is only felt in a run is seen. */
  readonly building: boolean;
}

/** All pieces of the open course. What a drag changes is drawn by itself, and the rest left as it is. */
export function Laid(props: LaidProps) {
  const pieces = useCourse((s) => s.course.pieces);
  const links = useCourse((s) => s.course.links);
  const layers = useCourse((s) => s.course.layers);
  const dragging = useDragState((s) => s.dragging);
  const [parter] = useState(dragPartition);
  const { rest, apart } = useMemo(() => parter(pieces, dragging), [parter, pieces, dragging]);
  return (
    <>
      <Group {...props} pieces={rest} links={links} layers={layers} />
      {apart.length > 0 && <Group {...props} pieces={apart} links={links} layers={layers} />}
    </>
  );
}

interface Ways {
  readonly moves: boolean;
  readonly felt: boolean;
  readonly board: boolean;
}
const waysByPiece = new WeakMap<Piece, Ways>();

/** The ways in which a piece is drawn, told once of each: after an edit thousands are as they were. */
function waysOf(piece: Piece): Ways {
  let known = waysByPiece.get(piece);
  if (!known) {
    const { family } = piece;
    known = {
      moves: movesInPart(piece),
      felt: findFamily(family)?.group === 'regions',
      board: family === 'board',
    };
    waysByPiece.set(piece, known);
  }
  return known;
}

/** Pieces by how they are drawn; some are in more than one list. */
function sortOut(pieces: readonly Piece[], lively: ReadonlySet<string>) {
  const [still, moving, felt, boards]: Piece[][] = [[], [], [], []];
  for (const piece of pieces) {
    const ways = waysOf(piece);
    const alive = lively.has(piece.id);
    if (!alive) still.push(piece);
    if (alive || ways.moves) moving.push(piece);
    if (ways.felt) felt.push(piece);
    if (ways.board) boards.push(piece);
  }
  return { still, moving, felt, boards };
}

type GroupProps = LaidProps & Pick<Course, 'links' | 'layers'> & { pieces: readonly Piece[] };

const Group = memo(function Group({
  pieces: all,
  links,
  layers,
  tide,
  moment,
  building,
}: GroupProps) {
  const [carrier] = useState(rigidOffset);
  const { pieces, by } = useMemo(() => carrier(all), [carrier, all]);
  // What is hidden while building is there in every run.
  const shown = useMemo(
    () =>
      pieces.some((piece) => isHidden({ layers }, piece))
        ? pieces.filter((piece) => !isHidden({ layers }, piece))
        : pieces,
    [pieces, layers],
  );
  // Most edits leave much as it is: what is made of that stays.
  const lively = useSame(useMemo(() => dynamicPieces({ pieces, links }), [pieces, links]));
  const sorted = useMemo(() => sortOut(shown, lively), [shown, lively]);
  const moving = useSame(sorted.moving);
  const felt = useSame(sorted.felt);
  const boards = useSame(sorted.boards);
  return (
    <group position={by}>
      <StillPieces pieces={sorted.still} tide={tide - by[1]} />
      <MovingPieces pieces={moving} lively={lively} moment={moment} carried={by} />
      {building && felt.length > 0 && <Regions pieces={felt} />}
      <BoardTexts pieces={boards} />
    </group>
  );
});
