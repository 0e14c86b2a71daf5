import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { chosenOf, imageCount, postsOf } from '@/core/assemble';
import type { Vec3 } from '@/core/geometry';
import { pixelOf, useView } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useMarked, useShown } from '../../state/shown';
import { DAY } from '../../theme';
import { useLay, useLayOf } from '../layStore';
import { useTune } from '../tune/tuneStore';
import { handlesOf, type Handle } from '../tools/handles';
import { chosenPlatform, rimPointsOf } from '../tools/outlineTool';
import { chosenWall } from '../tools/wallTool';
import { useGhost } from '../useGhost';

// Marks lie over the water and the stones, whatever the light: they keep the day's colours.
const INK = DAY.ink;
const MOSS = DAY.moss;
const RUST = DAY.rust;
const PAPER = DAY.card;

type Pixel = readonly [number, number];
type See = (p: Vec3) => Pixel | null;

/** Marks over the scene that belong to building: handles, snaps, lines being drawn, notes. */
export function Overlay({ sketchOnly = false }: { sketchOnly?: boolean }) {
  const view = useView();
  const see: See = (p) => pixelOf(view, p);
  // What follows the course follows it by itself: a drag changes one mark, not all of them.
  return (
    <View pointerEvents="none" style={{ position: 'absolute', inset: 0 }}>
      <Svg width={view.width} height={view.height}>
        <SketchLine see={see} />
        {!sketchOnly && <Axis see={see} />}
        {!sketchOnly && <Handles />}
        {!sketchOnly && <Pivot see={see} />}
        {!sketchOnly && <SnapMark see={see} />}
        <Drawn see={see} />
      </Svg>
    </View>
  );
}

const path = (points: readonly (Pixel | null)[], closed = false): string => {
  const seen = points.filter((p) => p !== null);
  return seen.length < 2
    ? ''
    : `M${seen.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;
};

function Label({ at: [x, y], words, tint = INK }: { at: Pixel; words: string; tint?: string }) {
  const width = words.length * 7.6 + 16;
  return (
    <G>
      <Rect
        x={x - width / 2}
        y={y - 15}
        width={width}
        height={26}
        rx={8}
        fill={PAPER}
        stroke={tint}
      />
      <SvgText
        x={x}
        y={y + 3}
        fontSize={13}
        fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
        fill={tint}
        textAnchor="middle"
      >
        {words}
      </SvgText>
    </G>
  );
}

/** The middle of a ring of copies, with where each would stand. */
function Pivot({ see }: { see: See }) {
  const { pivot, level } = useLayOf('pivot', 'level');
  const [first] = useCourse((s) => chosenOf(s.course, s.choice));
  if (!pivot || !first) return null;
  const { px, pz, count, sweep } = pivot;
  const middle = see([px, level, pz]);
  const [dx, dz] = [first.at[0] - px, first.at[2] - pz];
  const step = Math.abs(sweep) >= 360 ? sweep / count : sweep / Math.max(1, count - 1);
  const places = Array.from({ length: count }, (_, i) => {
    const a = (i * step * Math.PI) / 180;
    const [c, s] = [Math.cos(a), Math.sin(a)];
    return see([px + dx * c + dz * s, first.at[1], pz + dz * c - dx * s]);
  });
  return (
    <G>
      {places.map(
        (p, i) =>
          p && (
            <G key={i}>
              {middle && (
                <Line
                  x1={middle[0]}
                  y1={middle[1]}
                  x2={p[0]}
                  y2={p[1]}
                  stroke={MOSS}
                  strokeWidth={1.5}
                  strokeDasharray="3 6"
                />
              )}
              <Circle cx={p[0]} cy={p[1]} r={7} fill={PAPER} stroke={MOSS} strokeWidth={2.5} />
            </G>
          ),
      )}
      {middle && (
        <>
          <Circle cx={middle[0]} cy={middle[1]} r={13} fill={MOSS} stroke={PAPER} strokeWidth={3} />
          <Label at={[middle[0], middle[1] - 34]} words="Middle of the ring" tint={MOSS} />
        </>
      )}
    </G>
  );
}

const AXIS_NAMES = ['x', 'y', 'z'];

/** The handles; within a drag only the one that is held, as then what is dragged is looked at. */
function Handles() {
  const inHand = useCourse((s) => s.inHand);
  const { tool, held } = useLayOf('tool', 'held');
  const carrying = useShown((s) => s.carrying);
  const drawing = useTune((s) => s.drawingPath);
  if (inHand || drawing || tool !== 'pieces' || (carrying && !held)) return null;
  return <Knobs only={carrying ? held : null} />;
}

function Knobs({ only }: { only: Pick<Handle, 'axis' | 'side'> | null }) {
  const view = useView();
  const chosen = useMarked((s) => chosenOf(s.course, s.choice));
  const { handles: mode, ownAxes } = useLayOf('handles', 'ownAxes');
  const all = handlesOf(chosen, mode, ownAxes, view).filter(
    ({ axis, side }) => !only || (axis === only.axis && side === only.side),
  );
  return (
    <>
      {all.map((handle) => {
        const middle = pixelOf(view, handle.centre);
        return (
          <G key={`${handle.axis} ${handle.side}`}>
            {middle && mode !== 'stretch' && (
              <Line
                x1={middle[0]}
                y1={middle[1]}
                x2={handle.pixel[0]}
                y2={handle.pixel[1]}
                stroke={MOSS}
                strokeWidth={2}
                strokeDasharray={mode === 'turn' ? '3 5' : undefined}
                opacity={0.75}
              />
            )}
            <Knob handle={handle} />
          </G>
        );
      })}
    </>
  );
}

/** A knob as its work is: a disc that moves, a ring that turns, a square that stretches. */
function Knob({ handle: { mode, axis, pixel } }: { handle: Handle }) {
  const [x, y] = pixel;
  return (
    <G>
      {mode === 'stretch' ? (
        <Rect
          x={x - 9}
          y={y - 9}
          width={18}
          height={18}
          rx={3}
          fill={PAPER}
          stroke={MOSS}
          strokeWidth={2.5}
        />
      ) : (
        <Circle
          cx={x}
          cy={y}
          r={mode === 'turn' ? 11 : 12}
          fill={mode === 'turn' ? PAPER : MOSS}
          stroke={mode === 'turn' ? MOSS : PAPER}
          strokeWidth={mode === 'turn' ? 4 : 2}
        />
      )}
      <SvgText
        x={x}
        y={y + 4.5}
        fontSize={12}
        fontFamily="AtkinsonHyperlegibleNext_600SemiBold, sans-serif"
        fill={mode === 'move' ? PAPER : MOSS}
        textAnchor="middle"
      >
        {AXIS_NAMES[axis]}
      </SvgText>
    </G>
  );
}

const TOOK = { end: 'End', corner: 'Corner', surface: 'Surface', grid: '', free: '' } as const;

/** What took hold of the piece in hand, where it did. */
function SnapMark({ see }: { see: See }) {
  const ghost = useGhost();
  if (!ghost?.mark || !TOOK[ghost.took]) return null;
  const at = see(ghost.mark);
  if (!at) return null;
  const [x, y] = at;
  return (
    <G>
      {ghost.took === 'end' && (
        <Circle cx={x} cy={y} r={10} fill="none" stroke={MOSS} strokeWidth={3} />
      )}
      {ghost.took === 'corner' && (
        <Path
          d={`M${x - 10},${y}L${x},${y}L${x},${y - 10}`}
          stroke={MOSS}
          strokeWidth={4}
          fill="none"
        />
      )}
      {ghost.took === 'surface' && (
        <Path d={`M${x - 12},${y}L${x + 12},${y}`} stroke={MOSS} strokeWidth={4} />
      )}
      <Label at={[x, y - 30]} words={TOOK[ghost.took]} tint={MOSS} />
    </G>
  );
}

/** Lines, corners and areas that tools are drawing, and what they say of them. */
function Drawn({ see }: { see: See }) {
  const view = useView();
  const {
    stroke,
    lasso,
    fault,
    tool,
    sketching,
    brush,
    strewing: ways,
    cornering,
  } = useLayOf('stroke', 'lasso', 'fault', 'tool', 'sketching', 'brush', 'strewing', 'cornering');
  const pixels = stroke.map(see);
  const fault2 = fault && see(fault.at);
  const strewing = tool === 'scatter' && ways !== 'area' && !sketching;
  const closed = (tool === 'fill' || (tool === 'scatter' && ways === 'area')) && !sketching;
  return (
    <>
      {lasso.length > 1 && (
        <Path
          d={path(lasso, true)}
          fill={MOSS}
          fillOpacity={0.12}
          stroke={MOSS}
          strokeWidth={2}
          strokeDasharray="6 5"
        />
      )}
      {strewing && stroke.length > 1 && (
        <Path
          d={path(pixels)}
          stroke={ways === 'erase' ? RUST : MOSS}
          strokeWidth={Math.max(12, brush * 16)}
          strokeOpacity={0.35}
          strokeLinecap="round"
          strokeLinejoin="round"
          fill="none"
        />
      )}
      {!strewing && stroke.length > 1 && (
        <Path
          d={path(pixels, closed)}
          fill={closed ? MOSS : 'none'}
          fillOpacity={0.15}
          stroke={sketching ? INK : MOSS}
          strokeWidth={3}
          strokeLinejoin="round"
        />
      )}
      {!strewing &&
        sketching !== 'draw' &&
        !closed &&
        pixels.map(
          (p, i) =>
            p && (
              <Circle
                key={i}
                cx={p[0]}
                cy={p[1]}
                r={i === 0 && tool === 'outline' ? 10 : 7}
                fill={PAPER}
                stroke={MOSS}
                strokeWidth={3}
              />
            ),
        )}
      {tool === 'outline' && <Corners see={see} />}
      {tool === 'wall' && <Posts see={see} />}
      {cornering && (
        <>
          {cornering.own && see(cornering.own) && (
            <Circle
              cx={see(cornering.own)![0]}
              cy={see(cornering.own)![1]}
              r={9}
              fill={PAPER}
              stroke={MOSS}
              strokeWidth={4}
            />
          )}
          <Label
            at={[view.width / 2, 100]}
            words={
              cornering.own ? 'Touch the corner to go to' : 'Touch a corner of the chosen piece'
            }
            tint={MOSS}
          />
        </>
      )}
      {fault2 && (
        <G>
          <Path
            d={`M${fault2[0] - 9},${fault2[1] - 9}L${fault2[0] + 9},${fault2[1] + 9}M${fault2[0] + 9},${fault2[1] - 9}L${fault2[0] - 9},${fault2[1] + 9}`}
            stroke={RUST}
            strokeWidth={4}
          />
          <Label at={[fault2[0], fault2[1] - 28]} words={fault!.words} tint={RUST} />
        </G>
      )}
      <Measure see={see} />
    </>
  );
}

/** What is said where something is dragged to. */
function Measure({ see }: { see: See }) {
  const measure = useLay((s) => s.measure);
  const at = measure && see(measure.at);
  return at && <Label at={[at[0], at[1] - 44]} words={measure.words} />;
}

/** The points of the chosen outline, where the course has them. */
function Corners({ see }: { see: See }) {
  const corner = useLay((s) => s.corner);
  const platform = useCourse(chosenPlatform);
  return (
    <>
      {platform &&
        rimPointsOf(platform).map(({ rim, index, edge, at: place }) => {
          const p = see(place);
          const on = !edge && corner?.rim === rim && corner.index === index;
          return (
            p &&
            (edge ? (
              <Circle
                key={`e${rim} ${index}`}
                cx={p[0]}
                cy={p[1]}
                r={5}
                fill={PAPER}
                stroke={MOSS}
                strokeWidth={2}
              />
            ) : (
              <Rect
                key={`c${rim} ${index}`}
                x={p[0] - 8}
                y={p[1] - 8}
                width={16}
                height={16}
                rx={3}
                fill={on ? MOSS : PAPER}
                stroke={MOSS}
                strokeWidth={2.5}
              />
            ))
          );
        })}
    </>
  );
}

/** The posts of the chosen wall. */
function Posts({ see }: { see: See }) {
  const post = useLay((s) => s.post);
  const wall = useCourse(chosenWall);
  return (
    <>
      {wall &&
        postsOf(wall).map((place, i) => {
          const p = see(place);
          return (
            p && (
              <Circle
                key={`p${i}`}
                cx={p[0]}
                cy={p[1]}
                r={9}
                fill={post === i ? MOSS : PAPER}
                stroke={MOSS}
                strokeWidth={2.5}
              />
            )
          );
        })}
    </>
  );
}

/** The sketched route with its notes, as strongly as the maker wants to see it. */
function SketchLine({ see }: { see: See }) {
  const sketch = useCourse((s) => s.course.sketch);
  const { sketching, sketchPoint } = useLayOf('sketching', 'sketchPoint');
  const shown = sketching ? 1 : (sketch?.shown ?? 0.6);
  if (!sketch || shown <= 0) return null;
  const points = sketch.points.map((p) => see(p as Vec3));
  return (
    <G opacity={shown}>
      <Path
        d={path(points, sketch.closed)}
        fill="none"
        stroke={INK}
        strokeWidth={2.5}
        strokeDasharray="2 6"
        strokeLinecap="round"
      />
      {sketching === 'points' &&
        points.map(
          (p, i) =>
            p && (
              <Circle
                key={i}
                cx={p[0]}
                cy={p[1]}
                r={8}
                fill={sketchPoint === i ? MOSS : PAPER}
                stroke={INK}
                strokeWidth={2}
              />
            ),
        )}
      {sketch.notes?.map(({ at, text }, i) => {
        const p = see(at as Vec3);
        return (
          p && (
            <G key={i}>
              <Line x1={p[0]} y1={p[1]} x2={p[0]} y2={p[1] - 26} stroke={INK} strokeWidth={1.5} />
              <Circle cx={p[0]} cy={p[1]} r={3.5} fill={INK} />
              <Label at={[p[0], p[1] - 38]} words={text} />
            </G>
          )
        );
      })}
    </G>
  );
}

/** The line or middle a course is symmetrical about. */
function Axis({ see }: { see: See }) {
  const symmetry = useCourse((s) => s.course.symmetry);
  const level = useLay((s) => s.level);
  if (!symmetry) return null;
  const { kind, at } = symmetry;
  const images = imageCount(symmetry);
  const [x, z] = at;
  const far = 60;
  const ends: Vec3[][] =
    kind === 'mirror-x'
      ? [
          [
            [x, level, z - far],
            [x, level, z + far],
          ],
        ]
      : kind === 'mirror-z'
        ? [
            [
              [x - far, level, z],
              [x + far, level, z],
            ],
          ]
        : Array.from({ length: images }, (_, i): Vec3[] => {
            const a = (i * 2 * Math.PI) / images;
            return [
              [x, level, z],
              [x + far * Math.cos(a), level, z + far * Math.sin(a)],
            ];
          });
  const middle = see([x, level, z]);
  return (
    <G>
      {ends.map(([a, b], i) => {
        // Long lines are cut into stretches, as what lies behind the eye cannot be seen.
        const parts = Array.from({ length: 41 }, (_, k): Vec3 => [
          a[0] + ((b[0] - a[0]) * k) / 40,
          level,
          a[2] + ((b[2] - a[2]) * k) / 40,
        ]);
        return (
          <Path
            key={i}
            d={path(parts.map(see))}
            stroke={MOSS}
            strokeWidth={2}
            strokeDasharray="10 6 2 6"
            fill="none"
            opacity={0.85}
          />
        );
      })}
      {middle && (
        <Circle cx={middle[0]} cy={middle[1]} r={6} fill={PAPER} stroke={MOSS} strokeWidth={3} />
      )}
    </G>
  );
}
