import { useEffect, useMemo, useRef } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { movePartPoint, withPart } from '@/core/edit';
import type { DrawnShape, Piece, ShapePart } from '@/core/course';
import { convexHull, type Vec2 } from '@/core/geometry';
import { allowanceOf, contactShapes, familyOf, formOf, profileOf } from '@/core/pieces';
import { shapeSolid } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useColours } from '../../../theme';

/** A point of a part of the shape. */
export type Held = { readonly part: number; readonly point: number };

interface BoardProps {
  readonly piece: Piece;
  readonly shape: DrawnShape;
  readonly held: Held;
  readonly dent: number;
  readonly width: number;
  readonly height: number;
  readonly onHold: (held: Held) => void;
  readonly onBegin: () => void;
  readonly onChange: (shape: DrawnShape) => void;
}

/** The piece's profile with its picture behind, the shape over it, and a knob at every point. */
export function ShapeBoard(props: BoardProps) {
  const { piece, shape, held, dent, width, height } = props;
  const colours = useColours();
  const course = useCourse((s) => s.course);
  const host = useRef<View>(null);
  const { picture } = useMemo(() => profileOf(course, piece), [course, piece]);
  const allowed = useMemo(() => {
    const drawn = { ...piece, shape };
    return contactShapes(course, drawn)
      .filter(({ allowance, role }) => allowance ?? allowanceOf(course, drawn, role))
      .map((one) => flat(shapeSolid(one).points));
  }, [course, piece, shape]);
  // The frame stays while the shape is drawn: it follows the picture alone.
  const view = useMemo(() => frameOf(picture, width, height), [picture, width, height]);
  const k = [0, 1, 2].map((i) => sizeNow(piece)[i] / shape.size[i]) as [number, number, number];
  const see = ([x, y]: Vec2): Vec2 => [view.x + x * view.scale, view.y - y * view.scale];
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    Object.assign(element.style, { touchAction: 'none', userSelect: 'none' });
    let dragging: Held | null = null;
    const at = (event: PointerEvent): Vec2 => {
      const box = element.getBoundingClientRect();
      return [event.clientX - box.left, event.clientY - box.top];
    };
    const down = (event: PointerEvent) => {
      const [px, py] = at(event);
      let least = 26;
      dragging = null;
      latest.current.shape.parts.forEach((part, p) =>
        knobsOf(part).forEach((knob, i) => {
          const [kx, ky] = see(scaled(knob));
          const away = Math.hypot(kx - px, ky - py) + (p === latest.current.held.part ? 0 : 6);
          if (away < least) {
            least = away;
            dragging = { part: p, point: i };
          }
        }),
      );
      if (!dragging) return;
      element.setPointerCapture(event.pointerId);
      latest.current.onHold(dragging);
      latest.current.onBegin();
    };
    const move = (event: PointerEvent) => {
      if (!dragging) return;
      const [px, py] = at(event);
      const to: Vec2 = [
        snap((px - view.x) / view.scale) / k[0],
        snap((view.y - py) / view.scale) / k[1],
      ];
      const { shape: now, onChange } = latest.current;
      onChange(
        withPart(now, dragging.part, movePartPoint(now.parts[dragging.part], dragging.point, to)),
      );
    };
    const up = () => {
      dragging = null;
    };
    const scaled = ([x, y]: Vec2): Vec2 => [x * k[0], y * k[1]];
    // A drag is no press: what presses elsewhere is not to hear of it.
    const own = (event: TouchEvent) => event.preventDefault();
    element.addEventListener('touchstart', own, { passive: false });
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', up);
    return () => {
      element.removeEventListener('touchstart', own);
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', up);
    };
    // The frame and the stretch only change with the piece and the screen.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [view, k[0], k[1]]);
  return (
    <View ref={host} style={{ width, height }} testID="shape-board">
      <Svg width={width} height={height}>
        <Grid view={view} width={width} height={height} line={colours.line} />
        {picture.map((ring, i) => (
          <Path
            key={i}
            d={path(ring.map(see))}
            fill={colours.stone}
            stroke={colours.stoneShade}
            strokeWidth={1}
          />
        ))}
        {shape.parts.map((part, i) => (
          <Path
            key={i}
            d={path(outlineOf(part, k).map(see))}
            fill={colours.tide}
            fillOpacity={i === held.part ? 0.4 : 0.22}
            stroke={colours.tide}
            strokeWidth={i === held.part ? 3 : 1.5}
          />
        ))}
        {allowed.map((ring, i) => (
          <Path
            key={i}
            d={path(ring.map(see))}
            fill="none"
            stroke={colours.tide}
            strokeWidth={2}
            strokeDasharray="2 6"
          />
        ))}
        {shape.parts.map((part, p) =>
          knobsOf(part).map(([x, y], i) => {
            const [px, py] = see([x * k[0], y * k[1]]);
            const on = held.part === p && held.point === i;
            const wrong = held.part === p && dent === i;
            return (
              <G key={`${p} ${i}`}>
                <Rect
                  x={px - 8}
                  y={py - 8}
                  width={16}
                  height={16}
                  rx={part.kind === 'outline' ? 3 : 8}
                  fill={on ? colours.moss : colours.card}
                  stroke={wrong ? colours.rust : colours.moss}
                  strokeWidth={wrong ? 4 : 2.5}
                />
                {wrong && (
                  <Circle
                    cx={px}
                    cy={py}
                    r={18}
                    fill="none"
                    stroke={colours.rust}
                    strokeWidth={3}
                    strokeDasharray="4 4"
                  />
                )}
              </G>
            );
          }),
        )}
      </Svg>
    </View>
  );
}

export const sizeNow = (piece: Piece): readonly number[] => {
  const family = familyOf(piece.family);
  return piece.size && family.sizable ? piece.size : family.size;
};

/** Points keep to centimetres. */
const snap = (v: number): number => Math.round(v * 100) / 100;

const flat = (points: readonly (readonly [number, number, number])[]): Vec2[] =>
  convexHull(points.map(([x, y]): Vec2 => [x, y]));

/** The rim of a part on the profile. A dent is drawn as it is. */
function outlineOf(part: ShapePart, k: readonly [number, number, number]): Vec2[] {
  if (part.kind === 'outline') return part.points.map(([x, y]): Vec2 => [x * k[0], y * k[1]]);
  const form = formOf(part, k, 1);
  return flat(shapeSolid({ role: 'solid', form }).points);
}

function knobsOf(part: ShapePart): Vec2[] {
  if (part.kind === 'outline') return part.points.map(([x, y]): Vec2 => [x, y]);
  if (part.kind === 'capsule') return [part.from, part.to].map(([x, y]): Vec2 => [x, y]);
  return [[part.at[0], part.at[1]]];
}

interface Frame {
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}

/** A frame in which the picture has room about it. */
function frameOf(picture: readonly Vec2[][], width: number, height: number): Frame {
  const all = picture.flat();
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = 0.72 * Math.min(width / Math.max(0.2, x1 - x0), height / Math.max(0.2, y1 - y0));
  return {
    x: width / 2 - ((x0 + x1) / 2) * scale,
    y: height / 2 + ((y0 + y1) / 2) * scale,
    scale,
  };
}

const path = (points: readonly Vec2[]): string =>
  points.length < 2
    ? ''
    : `M${points.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}Z`;

/** Lines every so many centimetres, and the ground. */
function Grid({
  view,
  width,
  height,
  line,
}: {
  view: Frame;
  width: number;
  height: number;
  line: string;
}) {
  const step = [0.1, 0.25, 0.5, 1, 2, 5].find((s) => s * view.scale > 28) ?? 10;
  const count = (length: number) => Math.ceil(length / (step * view.scale)) + 1;
  const first = (origin: number) => origin % (step * view.scale);
  return (
    <G>
      {Array.from({ length: count(width) }, (_, i) => {
        const x = first(view.x) + i * step * view.scale;
        return (
          <Line key={`x${i}`} x1={x} x2={x} y1={0} y2={height} stroke={line} strokeWidth={1} />
        );
      })}
      {Array.from({ length: count(height) }, (_, i) => {
        const y = first(view.y) + i * step * view.scale;
        return <Line key={`y${i}`} x1={0} x2={width} y1={y} y2={y} stroke={line} strokeWidth={1} />;
      })}
      <Line x1={0} x2={width} y1={view.y} y2={view.y} stroke={line} strokeWidth={3} />
    </G>
  );
}
