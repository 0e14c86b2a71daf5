import { useState } from 'react';
import { Modal, ScrollView, useWindowDimensions, View } from 'react-native';
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
} from '@/core/edit';
import type { DrawnShape, Piece, ShapePart } from '@/core/course';
import { familyOf } from '@/core/pieces';
import { Button, Chip, Choices, IconButton, NumberField, Text } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE, useColours, WIDE } from '../../../theme';
import { tryEdit } from '../../screen/tryEdit';
import { AllowanceFigures } from '../figures/AllowanceFigures';
import { Flow } from '../figures/Section';
import { ShapeBoard, type Held } from './ShapeBoard';
import { useTune } from '../tuneStore';

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
    tryEdit((now) => {
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
          <Text as="heading" style={{ flex: 1 }} numberOfLines={1}>
            {`Shape of ${(piece.name ?? familyOf(piece.family).label).toLowerCase()}`}
          </Text>
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
        <ShapeBoard
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
            <Text tint="rust" accessibilityRole="alert">
              {`Corner ${dent + 1} makes a dent. A part has to be convex.`}
            </Text>
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
        <Text as="strong">Start over</Text>
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
