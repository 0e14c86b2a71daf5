import { Fragment, useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { chosenOf, pathOf, pathPlaces } from '@/core/assemble';
import type { Course, Link, PathMotion, Piece } from '@/core/course';
import { add, convexHull, rotate, type Vec3 } from '@/core/geometry';
import { applyPose, toWay, wayAt } from '@/core/motion';
import { familyOf, pieceBounds, turnOf } from '@/core/pieces';
import { DEFAULT_GRAVITY, posesAlong, USUAL_RANGE } from '@/core/run';
import { pixelOf, useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useMarked } from '../../state/shown';
import { useToldOf } from '../../state/told';
import { DAY } from '../../theme';
import { feltMark } from '../tools/tuneTools';
import { useFirings } from '../tune/dry';
import { useTune, useTuneOf } from '../tune/tuneStore';
import { CameraFrame } from './CameraFrame';

type Pixel = readonly [number, number];
type See = (p: Vec3) => Pixel | null;

const line = (points: readonly (Pixel | null)[]): string => {
  const seen = points.filter((p) => p !== null);
  return seen.length < 2
    ? ''
    : `M${seen.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}`;
};

const feltPieces = ({ pieces }: Course) => pieces.filter((piece) => feltMark(piece) !== null);

/** Marks over the scene that belong to tuning: paths, ranges, links, regions, the camera's frame. */
export function TuneOverlay() {
  const view = useView();
  const { picking, frameAt } = useTuneOf('picking', 'frameAt');
  const see: See = (p) => pixelOf(view, p);
  // What follows the course follows it by itself: a drag has no more drawn anew than it moves.
  return (
    <View pointerEvents="none" style={{ position: 'absolute', inset: 0 }}>
      <Svg width={view.width} height={view.height}>
        <RegionMarks see={see} />
        <ChosenMarks see={see} />
        <Links see={see} />
        {frameAt !== null && <CameraFrame at={frameAt} />}
        {picking && <Banner words={picking.words} width={view.width} />}
      </Svg>
    </View>
  );
}

const useChosen = () => useMarked((s) => chosenOf(s.course, s.choice));

const hasMarks = ({ motion, wake, thrower }: Piece) => Boolean(motion ?? wake ?? thrower);

function ChosenMarks({ see }: { see: See }) {
  const chosen = useChosen();
  const { tab, drawingPath, onion } = useTuneOf('tab', 'drawingPath', 'onion');
  return (
    <>
      {(onion ? chosen : chosen.filter(hasMarks)).map((piece) => (
        <Fragment key={piece.id}>
          {onion && <Onion piece={piece} see={see} />}
          <PathMarks piece={piece} see={see} knobs={drawingPath || tab === 'motion'} />
          <Ranges piece={piece} see={see} />
          {piece.thrower && <Throw piece={piece} see={see} />}
        </Fragment>
      ))}
    </>
  );
}

function Banner({ words, width }: { words: string; width: number }) {
  const wide = Math.min(width - 24, words.length * 8 + 28);
  return (
    <G>
      <Rect
        x={(width - wide) / 2}
        y={74}
        width={wide}
        height={34}
        rx={10}
        fill={DAY.card}
        stroke={DAY.moss}
        strokeWidth={2}
      />
      <SvgText
        x={width / 2}
        y={96}
        fontSize={14}
        fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
        fill={DAY.ink}
        textAnchor="middle"
      >
        {words}
      </SvgText>
    </G>
  );
}

/** What is only felt, named at its middle. */
function RegionMarks({ see }: { see: See }) {
  const felt = useToldOf(feltPieces);
  return felt.length > 0 && <FeltMarks felt={felt} see={see} />;
}

function FeltMarks({ felt, see }: { felt: readonly Piece[]; see: See }) {
  const chosen = useChosen();
  // One that is being dragged is where the hand has it.
  const pieces = felt.map((piece) => chosen.find(({ id }) => id === piece.id) ?? piece);
  return (
    <>
      {pieces.map((piece) => {
        const mark = feltMark(piece);
        const at = mark && see(mark);
        if (!at) return null;
        const words = piece.name ?? familyOf(piece.family).label;
        const width = words.length * 7 + 16;
        return (
          <G key={piece.id}>
            <Rect
              x={at[0] - width / 2}
              y={at[1] - 12}
              width={width}
              height={24}
              rx={12}
              fill={DAY.card}
              stroke={DAY.tide}
              strokeWidth={1.5}
            />
            <SvgText
              x={at[0]}
              y={at[1] + 4.5}
              fontSize={12.5}
              fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
              fill={DAY.ink}
              textAnchor="middle"
            >
              {words}
            </SvgText>
          </G>
        );
      })}
    </>
  );
}

/** A piece's path, dashed, with marks that show its direction, and its points. */
function PathMarks({ piece, see, knobs }: { piece: Piece; see: See; knobs: boolean }) {
  const pathPoint = useTune((s) => s.pathPoint);
  const index = pathOf(piece);
  const way = useMemo(
    () => (index < 0 ? null : toWay(piece.motion![index] as PathMotion)),
    [piece, index],
  );
  if (!way) return null;
  const turn = turnOf(piece);
  const at = (seconds: number): Vec3 =>
    add(rotate(turn, wayAt({ ...way, phase: 0 }, seconds)), piece.at);
  const steps = 60;
  const along = Array.from({ length: steps + 1 }, (_, i) => see(at((way.time * i) / steps)));
  // An arrow in the middle of each leg.
  const arrows = way.legs
    .filter(({ points }) => points.length > 1)
    .map(
      ({ from, time }) => [see(at(from + time * 0.5)), see(at(from + time * 0.5 + 0.02))] as const,
    );
  return (
    <G>
      <Path d={line(along)} stroke={DAY.card} strokeWidth={6} fill="none" opacity={0.7} />
      <Path d={line(along)} stroke={DAY.tide} strokeWidth={3} strokeDasharray="8 6" fill="none" />
      {arrows.map(([a, b], i) => a && b && <Arrow key={i} at={a} to={b} />)}
      {knobs &&
        pathPlaces(piece).map((p, i) => {
          const pixel = see(p);
          return (
            pixel && (
              <G key={i}>
                <Circle
                  cx={pixel[0]}
                  cy={pixel[1]}
                  r={i === 0 ? 7 : 12}
                  fill={pathPoint === i ? DAY.tide : DAY.card}
                  stroke={DAY.tide}
                  strokeWidth={3}
                />
                {i > 0 && (
                  <SvgText
                    x={pixel[0]}
                    y={pixel[1] + 4.5}
                    fontSize={12}
                    fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
                    fill={pathPoint === i ? DAY.card : DAY.ink}
                    textAnchor="middle"
                  >
                    {i + 1}
                  </SvgText>
                )}
              </G>
            )
          );
        })}
    </G>
  );
}

/** Outlines of a mover all along its longest motion, as far apart in time as each other. */
function Onion({ piece, see }: { piece: Piece; see: See }) {
  const course = useCourse((s) => s.course);
  const { tempo } = course;
  const poses = useMemo(
    () => posesAlong({ ...course, tempo }, piece, ONION_SKINS)?.poses ?? [],
    // Nothing else of the course changes how a piece moves.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [piece, tempo],
  );
  const { low, high } = pieceBounds(piece);
  return (
    <>
      {poses.map((pose, i) => {
        const corners = [0, 1, 2, 3, 4, 5, 6, 7].map((k): Vec3 => [
          k & 1 ? high[0] : low[0],
          k & 2 ? high[1] : low[1],
          k & 4 ? high[2] : low[2],
        ]);
        const seen = corners.map((p) => see(applyPose(pose, p))).filter((p) => p !== null);
        return (
          <Path
            key={i}
            d={`${line(convexHull(seen))}Z`}
            fill={DAY.tide}
            fillOpacity={0.06}
            stroke={DAY.tide}
            strokeOpacity={0.55}
            strokeWidth={1.5}
          />
        );
      })}
    </>
  );
}

const ONION_SKINS = 12;

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

/** How near the runner must be: circles on the level of the piece. */
function Ranges({ piece, see }: { piece: Piece; see: See }) {
  const radii: [number, string][] = [];
  const { wake } = piece;
  if (wake?.by === 'near') radii.push([wake.range ?? USUAL_RANGE, '10 5']);
  if (wake?.sleep !== undefined) radii.push([wake.sleep, '2 7']);
  for (const motion of piece.motion ?? []) {
    if (motion.kind === 'chase') radii.push([motion.range, '10 5']);
    if (motion.kind === 'arrive') radii.push([motion.distance, '10 5']);
  }
  return (
    <>
      {radii.map(([r, dash], i) => (
        <Path
          key={i}
          d={line(
            Array.from({ length: 49 }, (_, k) => {
              const a = (k * Math.PI) / 24;
              return see([
                piece.at[0] + r * Math.cos(a),
                piece.at[1],
                piece.at[2] + r * Math.sin(a),
              ]);
            }),
          )}
          stroke={DAY.tide}
          strokeWidth={2}
          strokeDasharray={dash}
          fill="none"
        />
      ))}
    </>
  );
}

/** The way of the first copy a thrower sends out, with the copy where it leaves. */
function Throw({ piece, see }: { piece: Piece; see: See }) {
  const g = useCourse((s) => s.course.gravity) ?? DEFAULT_GRAVITY;
  const { speed, rise = 0, size } = piece.thrower!;
  const { low, high } = pieceBounds(piece);
  const heading = ((piece.turn?.[1] ?? 0) * Math.PI) / 180;
  const up = (rise * Math.PI) / 180;
  const from: Vec3 = [
    piece.at[0] + Math.cos(heading) * ((high[0] - low[0]) / 2 + size / 2),
    piece.at[1] + (high[1] - low[1]) * 0.75,
    piece.at[2] - Math.sin(heading) * ((high[2] - low[2]) / 2 + size / 2),
  ];
  const at = (t: number): Vec3 => [
    from[0] + Math.cos(heading) * Math.cos(up) * speed * t,
    from[1] + Math.sin(up) * speed * t - (g * t * t) / 2,
    from[2] - Math.sin(heading) * Math.cos(up) * speed * t,
  ];
  const first = see(from);
  return (
    <G>
      <Path
        d={line(Array.from({ length: 25 }, (_, i) => see(at(i * 0.05))))}
        stroke={DAY.rust}
        strokeWidth={2.5}
        strokeDasharray="6 5"
        fill="none"
      />
      {first && (
        <Circle
          cx={first[0]}
          cy={first[1]}
          r={11}
          fill={DAY.rustSoft}
          stroke={DAY.rust}
          strokeWidth={3}
        />
      )}
    </G>
  );
}

/** Links as thin curves from what gives the cue to what it is done to, with a dot at that end. */
function Links({ see }: { see: See }) {
  const links = useMarked((s) => s.course.links);
  return links && <LinkCurves links={links} see={see} />;
}

function LinkCurves({ links, see }: { links: readonly Link[]; see: See }) {
  const { lit } = useFirings();
  const open = useTune((s) => s.link);
  const choice = useMarked((s) => s.choice);
  const all = useMarked((s) => s.course.pieces);
  const byId = useMemo(() => {
    const named = new Set(
      links.flatMap(({ cue, effects }) => [
        ...(cue.pieces ?? []),
        ...effects.flatMap(({ pieces = [] }) => pieces),
      ]),
    );
    return new Map(all.filter(({ id }) => named.has(id)).map((piece) => [piece.id, piece]));
  }, [all, links]);
  const middle = (id: string): Pixel | null => {
    const piece = byId.get(id);
    if (!piece) return null;
    const { low, high } = pieceBounds(piece);
    return see([(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2]);
  };
  const strong = ({ id, cue, effects }: Link) =>
    id === open ||
    cue.pieces?.some((piece) => choice.has(piece)) ||
    effects.some(({ pieces }) => pieces?.some((piece) => choice.has(piece)));
  return (
    <>
      {links.flatMap((link) =>
        (lit.has(link.id) ? (link.cue.pieces ?? []) : []).map((id) => {
          const at = middle(id);
          return (
            at && (
              <Circle
                key={`${link.id} ${id}`}
                cx={at[0]}
                cy={at[1]}
                r={26}
                fill={DAY.lichen}
                fillOpacity={0.25}
                stroke={DAY.lichen}
                strokeWidth={4}
              />
            )
          );
        }),
      )}
      {links.flatMap((link) =>
        (link.cue.pieces ?? []).flatMap((from) =>
          link.effects.flatMap(({ pieces = [] }, e) =>
            pieces.map((to) => {
              const [a, b] = [middle(from), middle(to)];
              if (!a || !b) return null;
              const bend = Math.min(90, Math.hypot(b[0] - a[0], b[1] - a[1]) * 0.35);
              const acts = lit.has(link.id);
              const on = acts || strong(link);
              const curve = `M${a[0]},${a[1]}Q${(a[0] + b[0]) / 2},${(a[1] + b[1]) / 2 - bend} ${b[0]},${b[1]}`;
              return (
                <G key={`${link.id} ${from} ${e} ${to}`} opacity={on ? 1 : 0.55}>
                  {acts && <Path d={curve} stroke={DAY.lichen} strokeWidth={9} fill="none" />}
                  <Path d={curve} stroke={DAY.ink} strokeWidth={on ? 2.5 : 1.5} fill="none" />
                  <Circle
                    cx={b[0]}
                    cy={b[1]}
                    r={on ? 6 : 4.5}
                    fill={DAY.ink}
                    stroke={DAY.card}
                    strokeWidth={1.5}
                  />
                </G>
              );
            }),
          ),
        ),
      )}
    </>
  );
}
