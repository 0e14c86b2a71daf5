import { useMemo, useRef } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';
import type { DrawnShape, Piece, ShapePart } from '@/core/course';
import type { Vec2 } from '@/core/geometry';
import { allowanceOf, contactShapes, profileOf } from '@/core/pieces';
import { usePointerDrag } from '../../../device/usePointerDrag';
import { shapeSolid } from '../../../scene';
import { useCourse } from '../../../state/courseStore';
import { useColours } from '../../../theme';
import {
  flat,
  frameOf,
  knobAt,
  knobsOf,
  outlineOf,
  path,
  pixelOn,
  placeOn,
  sizeNow,
  type Stretch,
} from './boardFrame';
import { BoardGrid } from './BoardGrid';
import type { Held } from './shapeDraft';

interface BoardProps {
  readonly piece: Piece;
  readonly shape: DrawnShape;
  readonly held: Held;
  /** The corner of the held part that makes it hollow, or -1. */
  readonly dent: number;
  readonly width: number;
  readonly height: number;
  /** A knob is taken hold of. */
  readonly onTake: (held: Held) => void;
  /** It is dragged to a place in the shape's own measure. */
  readonly onDrag: (to: Vec2) => void;
}

/** The piece's profile with its picture behind, the shape over it, and a knob at every point. */
export function ShapeBoard(props: BoardProps) {
  const { piece, shape, held, dent, width, height, onTake, onDrag } = props;
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
  const frame = useMemo(() => frameOf(picture, width, height), [picture, width, height]);
  const k = [0, 1, 2].map((i) => sizeNow(piece)[i] / shape.size[i]) as [number, number, number];
  const see = (place: Vec2): Vec2 => pixelOn(frame, place);
  usePointerDrag(host, {
    begin: ({ x, y }) => {
      const knob = knobAt(shape.parts, frame, k, [x, y], held.part);
      if (knob) onTake(knob);
      return knob !== null;
    },
    move: ({ x, y }) => onDrag(placeOn(frame, k, [x, y])),
  });
  return (
    <View ref={host} style={{ width, height }} testID="shape-board">
      <Svg width={width} height={height}>
        <BoardGrid view={frame} width={width} height={height} line={colours.line} />
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
        {shape.parts.map((part, p) => (
          <Knobs
            key={p}
            part={part}
            k={k}
            see={see}
            held={held.part === p ? held.point : -1}
            dent={held.part === p ? dent : -1}
          />
        ))}
      </Svg>
    </View>
  );
}

interface KnobsProps {
  readonly part: ShapePart;
  readonly k: Stretch;
  readonly see: (place: Vec2) => Vec2;
  readonly held: number;
  readonly dent: number;
}

/** The points of one part: filled where it is held, ringed where it makes a dent. */
function Knobs({ part, k, see, held, dent }: KnobsProps) {
  const colours = useColours();
  return knobsOf(part).map(([x, y], i) => {
    const [px, py] = see([x * k[0], y * k[1]]);
    const wrong = dent === i;
    return (
      <G key={i}>
        <Rect
          x={px - 8}
          y={py - 8}
          width={16}
          height={16}
          rx={part.kind === 'outline' ? 3 : 8}
          fill={held === i ? colours.moss : colours.card}
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
  });
}
