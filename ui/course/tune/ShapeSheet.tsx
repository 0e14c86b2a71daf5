import { useEffect, useMemo, useRef, useState } from 'react';
import { Modal, ScrollView, useWindowDimensions, View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import {
  dentOf,
  centredPart,
  fittedPart,
  refittedPart,
  movePartPoint,
  setShape,
  shapeFromPicture,
  shapeOf,
  splitShapeEdge,
  splitOutline,
  withPart,
} from '@/core/assemble';
import type { DrawnShape, Piece, ShapePart } from '@/core/course';
import { convexHull, type Vec2 } from '@/core/geometry';
import { allowanceOf, contactShapes, familyOf, formOf, profileOf } from '@/core/pieces';
import { Button, Chip, Choices, IconButton, NumberField, Words } from '../../parts';
import { shapeSolid } from '../../scene';
import { useCourse } from '../../state/courseStore';
import { useEditing } from '../../state/shown';
import { SPACE, useColours, WIDE } from '../../theme';
import { AllowanceFigures } from './AllowanceFigures';
import { Flow } from './Section';
import { useTune } from './tuneStore';
import { attempt } from '../attempt';

/** The editor of a collision shape, over the whole screen: as large as there is room for. */
export function ShapeSheet() {
  const shaping = useTune((s) => s.shaping);
  const piece = useCourse((s) =>
    shaping === null ? undefined : s.course.pieces.find(({ id }) => id === shaping),
  );
  const close = () => useTune.getState().set({ shaping: null });
  return (
    <Modal visible={piece !== undefined} animationType="none" onRequestClose={close} transparent>
      {piece && <ShapeEditor key={piece.id} piece={piece} onClose={close} />}
    </Modal>
  );
}

type Held = { readonly part: number; readonly point: number };

function ShapeEditor({ piece, onClose }: { piece: Piece; onClose: () => void }) {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const { course, edit } = useEditing();
  const [shape, setDrawn] = useState<DrawnShape>(() => shapeOf(course, piece));
  const [past, setPast] = useState<DrawnShape[]>([]);
  const [held, setHeld] = useState<Held>({ part: 0, point: -1 });
  const [of, setOf] = useState<'piece' | 'family'>(
    course.shapes?.[piece.family] ? 'family' : 'piece',
  );
  const change = (next: DrawnShape, step = true) => {
    if (step) setPast((before) => [...before, shape]);
    setDrawn(next);
  };
  const partIndex = Math.min(held.part, shape.parts.length - 1);
  const part = shape.parts[partIndex];
  const dent = part?.kind === 'outline' ? dentOf(part.points) : -1;
  const keep = () => {
    attempt((now) => {
      const next = setShape(now, piece, of, shape);
      onClose();
      return next;
    });
  };
  const board = wide ? Math.min(width - 400, height - 40) : Math.min(width, height * 0.52);
  return (
    <View
      style={{
        flex: 1,
        flexDirection: wide ? 'row' : 'column',
        backgroundColor: colours.paper,
      }}
      testID="shape-editor"
    >
      <View style={{ width: wide ? width - 380 : width, flex: wide ? 1 : undefined }}>
        <View
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            paddingHorizontal: SPACE.s,
            paddingVertical: SPACE.xs,
          }}
        >
          <IconButton icon="x" label="Leave without keeping" onPress={onClose} />
          <Words as="heading" style={{ flex: 1 }} numberOfLines={1}>
            {`Shape of ${(piece.name ?? familyOf(piece.family).label).toLowerCase()}`}
          </Words>
          <IconButton
            icon="corner-up-left"
            label="Undo"
            disabled={past.length === 0}
            onPress={() => {
              setDrawn(past[past.length - 1]);
              setPast(past.slice(0, -1));
            }}
          />
          <Button title="Keep" kind="main" onPress={keep} testID="keep-shape" />
        </View>
        <Board
          piece={piece}
          shape={shape}
          held={{ part: partIndex, point: held.point }}
          dent={dent}
          width={wide ? width - 380 : width}
          height={board}
          onHold={setHeld}
          onBegin={() => setPast((before) => [...before, shape])}
          onChange={(next) => change(next, false)}
        />
      </View>
      <ScrollView
        style={{
          flex: 1,
          maxWidth: wide ? 380 : undefined,
          borderLeftWidth: wide ? 1 : 0,
          borderTopWidth: wide ? 0 : 1,
          borderColor: colours.line,
          backgroundColor: colours.card,
        }}
        contentContainerStyle={{ padding: SPACE.l, gap: SPACE.m }}
      >
        {dent >= 0 && part.kind === 'outline' && (
          <View style={{ gap: SPACE.s }}>
            <Words tint="rust" accessibilityRole="alert">
              {`Corner ${dent + 1} makes a dent. A part has to be convex.`}
            </Words>
            <Button
              title="Split into parts"
              kind="main"
              icon="scissors"
              onPress={() =>
                change({
                  ...shape,
                  parts: [...shape.parts.filter((_, i) => i !== partIndex), ...splitOutline(part)],
                })
              }
            />
          </View>
        )}
        <Flow>
          {shape.parts.map((one, i) => (
            <Chip
              key={i}
              role="tab"
              label={`${PART_WORDS[one.kind]} ${i + 1}`}
              on={i === partIndex}
              onPress={() => setHeld({ part: i, point: -1 })}
            />
          ))}
        </Flow>
        <Flow>
          {(['ball', 'box', 'capsule'] as const).map((kind) => (
            <Button
              key={kind}
              title={`Add a ${kind}`}
              onPress={() => {
                change({ ...shape, parts: [...shape.parts, fittedPart(piece, kind)] });
                setHeld({ part: shape.parts.length, point: -1 });
              }}
            />
          ))}
        </Flow>
        {part && (
          <>
            <PartFigures
              part={part}
              point={held.point}
              onChange={(next) => change(withPart(shape, partIndex, next))}
            />
            <PartAllowance
              part={part}
              onChange={(next) => change(withPart(shape, partIndex, next))}
            />
          </>
        )}
        <Flow>
          {part && (
            <>
              <Button
                title="Centre"
                icon="crosshair"
                onPress={() => change(withPart(shape, partIndex, centredPart(piece, part)))}
              />
              <Button
                title="Fit to the picture"
                icon="maximize"
                onPress={() => change(withPart(shape, partIndex, refittedPart(piece, part)))}
              />
            </>
          )}
          {part?.kind === 'outline' && held.point >= 0 && (
            <>
              <Button
                title="Split the edge after it"
                icon="plus"
                onPress={() => change(withPart(shape, partIndex, splitShapeEdge(part, held.point)))}
              />
              <Button
                title="Take the point away"
                icon="trash-2"
                disabled={part.points.length <= 3}
                onPress={() => {
                  const points = part.points.filter((_, i) => i !== held.point);
                  change(withPart(shape, partIndex, { ...part, points }));
                  setHeld({ part: partIndex, point: -1 });
                }}
              />
            </>
          )}
          {shape.parts.length > 1 && (
            <Button
              title="Take the part away"
              icon="trash-2"
              onPress={() => change(withPart(shape, partIndex, null))}
            />
          )}
        </Flow>
        <Words as="strong">Start over</Words>
        <Flow>
          <Button
            title="From its outline"
            onPress={() => change(shapeFromPicture(piece, 'hull'))}
          />
          <Button title="From its parts" onPress={() => change(shapeFromPicture(piece, 'parts'))} />
          <Button
            title="As the family has it"
            onPress={() => {
              edit((now) => setShape(now, piece, of, undefined));
              onClose();
            }}
          />
        </Flow>
        <Choices
          label="Kept for"
          value={of}
          options={[
            { value: 'piece', label: 'This piece' },
            { value: 'family', label: 'All of its kind' },
          ]}
          onChange={setOf}
        />
      </ScrollView>
    </View>
  );
}

const PART_WORDS: Record<ShapePart['kind'], string> = {
  ball: 'Ball',
  box: 'Box',
  capsule: 'Capsule',
  outline: 'Outline',
};

function PartFigures({
  part,
  point,
  onChange,
}: {
  part: ShapePart;
  point: number;
  onChange: (part: ShapePart) => void;
}) {
  const figure = (label: string, value: number, set: (v: number) => ShapePart, unit = 'm') => (
    <NumberField
      key={label}
      label={label}
      unit={unit}
      step={unit === '°' ? 5 : 0.05}
      value={value}
      onChange={(v) => onChange(set(v))}
    />
  );
  if (part.kind === 'ball') {
    return <View>{figure('Radius', part.radius, (radius) => ({ ...part, radius }))}</View>;
  }
  if (part.kind === 'box') {
    return (
      <View>
        {(['Length', 'Height', 'Depth'] as const).map((label, i) =>
          figure(label, part.size[i], (v) => ({
            ...part,
            size: part.size.map((old, k) => (k === i ? v : old)) as [number, number, number],
          })),
        )}
        {figure('Turned', part.turn ?? 0, (turn) => ({ ...part, turn }), '°')}
      </View>
    );
  }
  if (part.kind === 'capsule') {
    return (
      <View>
        {figure('Radius', part.radius, (radius) => ({ ...part, radius }))}
        {figure('Depth', part.depth ?? 0.1, (depth) => ({ ...part, depth }))}
      </View>
    );
  }
  const at = part.points[point];
  return (
    <View>
      {at &&
        (['x', 'y'] as const).map((axis, i) =>
          figure(`Point ${point + 1} ${axis}`, at[i], (v) =>
            movePartPoint(part, point, i === 0 ? [v, at[1]] : [at[0], v]),
          ),
        )}
      {figure('Depth', part.depth ?? 1, (depth) => ({ ...part, depth }))}
      {figure('Off the middle across', part.across ?? 0, (across) => ({ ...part, across }))}
    </View>
  );
}

/** How much larger a part is than drawn: as its piece is, or by a measure of its own. */
function PartAllowance({
  part,
  onChange,
}: {
  part: ShapePart;
  onChange: (part: ShapePart) => void;
}) {
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label="Allowance of this part"
        value={part.allowance ? 'own' : 'piece'}
        options={[
          { value: 'piece', label: 'As the piece has' },
          { value: 'own', label: 'Its own' },
        ]}
        onChange={(next) => {
          const { allowance: _, ...rest } = part;
          onChange(
            next === 'own' ? { ...part, allowance: { by: 'cm', value: 0 } } : (rest as ShapePart),
          );
        }}
      />
      {part.allowance && (
        <AllowanceFigures
          value={part.allowance}
          testID="part-allowance"
          onChange={(allowance) => onChange({ ...part, allowance })}
        />
      )}
    </View>
  );
}

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
function Board(props: BoardProps) {
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

const sizeNow = (piece: Piece): readonly number[] => {
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
