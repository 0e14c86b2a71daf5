import { useMemo } from 'react';
import { Circle, G, Path, Text as SvgText } from 'react-native-svg';
import { pathOf, pathPlaces } from '@/core/edit';
import type { PathMotion, Piece } from '@/core/course';
import { add, rotate, type Vec3 } from '@/core/geometry';
import { compilePath, pointOnPath } from '@/core/motion';
import { turnOf } from '@/core/pieces';
import { numberText } from '../../../parts';
import { DAY } from '../../../theme';
import { mayLift } from '../../tools/knobs';
import { betweenPlaces } from '../../tools/pathTool';
import { useTuneOf } from '../../open/tuneStore';
import { LiftKnob, NumberKnob } from './knobs';
import { path, type Pixel, type See } from './marks';

/** Seconds between the dots along a path: where they lie close it is gone slowly. */
const DOT_EVERY = 0.25;
/** Most of them. */
const MOST_DOTS = 200;
const STEPS = 60;

/** A piece's path: dashed, with its direction, dots as far apart as it is gone fast, speeds, and its points. */
export function PathMarks({ piece, see, knobs }: { piece: Piece; see: See; knobs: boolean }) {
  const { drawingPath } = useTuneOf('drawingPath');
  const index = pathOf(piece);
  const way = useMemo(
    () => (index < 0 ? null : compilePath(piece.motion![index] as PathMotion)),
    [piece, index],
  );
  if (!way) return null;
  const turn = turnOf(piece);
  const at = (seconds: number): Vec3 =>
    add(rotate(turn, pointOnPath({ ...way, phase: 0 }, seconds)), piece.at);
  const along = Array.from({ length: STEPS + 1 }, (_, i) => see(at((way.time * i) / STEPS)));
  const every = Math.max(DOT_EVERY, way.time / MOST_DOTS);
  const dots = Array.from({ length: Math.floor(way.time / every) }, (_, i) =>
    see(at((i + 1) * every)),
  );
  const legs = way.legs.filter(({ points }) => points.length > 1);
  return (
    <G>
      <Path d={path(along)} stroke={DAY.card} strokeWidth={6} fill="none" opacity={0.7} />
      <Path d={path(along)} stroke={DAY.tide} strokeWidth={3} strokeDasharray="8 6" fill="none" />
      {knobs &&
        dots.map(
          (dot, i) => dot && <Circle key={i} cx={dot[0]} cy={dot[1]} r={2.5} fill={DAY.ink} />,
        )}
      {legs.map(({ from, time, along: far }, i) => {
        // In the middle of each leg.
        const [a, b] = [see(at(from + time * 0.5)), see(at(from + time * 0.5 + 0.02))];
        const pace = far[far.length - 1] / time;
        return (
          a &&
          b && (
            <G key={i}>
              <Arrow at={a} to={b} />
              {knobs && <Speed at={a} pace={pace} />}
            </G>
          )
        );
      })}
      {drawingPath && <Between piece={piece} see={see} />}
      {knobs && <Points piece={piece} see={see} />}
    </G>
  );
}

interface PointsProps {
  readonly piece: Piece;
  readonly see: See;
}

/** Small rings between the points: touched, there is one more. */
function Between({ piece, see }: PointsProps) {
  return betweenPlaces(pathPlaces(piece)).map((place, i) => {
    const pixel = see(place);
    if (!pixel) return null;
    const [x, y] = pixel;
    return (
      <G key={i}>
        <Circle cx={x} cy={y} r={8} fill={DAY.card} stroke={DAY.tide} strokeWidth={2} />
        <Path d={`M${x - 4},${y}h8M${x},${y - 4}v8`} stroke={DAY.tide} strokeWidth={2} />
      </G>
    );
  });
}

/** The points themselves, the first where the piece stands. */
function Points({ piece, see }: PointsProps) {
  const { pathPoint, drawingPath } = useTuneOf('pathPoint', 'drawingPath');
  return pathPlaces(piece).map((place, i) => {
    const pixel = see(place);
    if (!pixel) return null;
    const [x, y] = pixel;
    return i === 0 ? (
      <Circle key={i} cx={x} cy={y} r={7} fill={DAY.card} stroke={DAY.tide} strokeWidth={3} />
    ) : (
      <G key={i}>
        {pathPoint === i && drawingPath && mayLift() && <LiftKnob at={pixel} />}
        <NumberKnob at={pixel} number={i + 1} on={pathPoint === i} />
      </G>
    );
  });
}

function Speed({ at: [x, y], pace }: { at: Pixel; pace: number }) {
  return (
    <SvgText
      x={x}
      y={y + 24}
      fontSize={12}
      fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
      fill={DAY.ink}
      stroke={DAY.card}
      strokeWidth={3}
      // The outline lies under the words.
      {...{ paintOrder: 'stroke' }}
      textAnchor="middle"
    >
      {`${numberText(Math.round(pace * 10) / 10)} m/s`}
    </SvgText>
  );
}

function Arrow({ at: [x, y], to }: { at: Pixel; to: Pixel }) {
  const [dx, dy] = [to[0] - x, to[1] - y];
  const l = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / l, dy / l];
  const tip = `${x + ux * 9},${y + uy * 9}`;
  return (
    <Path
      d={`M${x - ux * 5 - uy * 7},${y - uy * 5 + ux * 7}L${tip}L${x - ux * 5 + uy * 7},${y - uy * 5 - ux * 7}Z`}
      fill={DAY.tide}
      stroke={DAY.card}
      strokeWidth={1}
    />
  );
}
