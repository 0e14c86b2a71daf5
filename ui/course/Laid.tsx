import { memo, useMemo, useState, type RefObject } from 'react';
import { isHidden } from '@/core/assemble';
import type { Course, Piece } from '@/core/course';
import { findFamily } from '@/core/pieces';
import { livelyPieces } from '@/core/run';
import {
  BoardTexts,
  MovingPieces,
  movesInPart,
  newParter,
  Regions,
  StillPieces,
  type Moment,
} from '../scene';
import { useCourse } from '../state/courseStore';
import { useHand } from '../state/hand';
import { useSame } from '../state/useSame';

interface LaidProps {
  readonly tide: number;
  readonly moment: RefObject<Moment>;
  /** Whether what is only felt in a run is seen. */
  readonly building: boolean;
}

/** All pieces of the open course. What a drag changes is drawn by itself, and the rest left as it is. */
export function Laid(props: LaidProps) {
  const pieces = useCourse((s) => s.course.pieces);
  const links = useCourse((s) => s.course.links);
  const layers = useCourse((s) => s.course.layers);
  const dragging = useHand((s) => s.dragging);
  const [parter] = useState(newParter);
  const { rest, apart } = useMemo(() => parter(pieces, dragging), [parter, pieces, dragging]);
  return (
    <>
      <Group {...props} pieces={rest} links={links} layers={layers} />
      {apart.length > 0 && <Group {...props} pieces={apart} links={links} layers={layers} />}
    </>
  );
}

type GroupProps = LaidProps & Pick<Course, 'links' | 'layers'> & { pieces: readonly Piece[] };

const Group = memo(function Group({ pieces, links, layers, tide, moment, building }: GroupProps) {
  // What is hidden while building is there in every run.
  const shown = useMemo(
    () =>
      pieces.some((piece) => isHidden({ layers }, piece))
        ? pieces.filter((piece) => !isHidden({ layers }, piece))
        : pieces,
    [pieces, layers],
  );
  // Most edits leave much as it is: what is made of that stays.
  const lively = useSame(useMemo(() => livelyPieces({ pieces, links }), [pieces, links]));
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
  return (
    <>
      <StillPieces pieces={still} tide={tide} />
      <MovingPieces pieces={moving} lively={lively} moment={moment} />
      {building && felt.length > 0 && <Regions pieces={felt} />}
      <BoardTexts pieces={boards} />
    </>
  );
});
