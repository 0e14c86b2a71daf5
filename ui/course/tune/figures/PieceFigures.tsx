import { memo, useState } from 'react';
import { View } from 'react-native';
import {
  dialRange,
  namePieces,
  paintPieces,
  pullEdge,
  readDial,
  setChoiceParam,
  setOpening,
  setDial,
  setOneOfSeveral,
  stepDial,
  type Axis,
  type BlockSide,
  type NumericProperty,
} from '@/core/edit';
import { MATERIALS, type Course, type Material, type Piece } from '@/core/course';
import { familyOf, type Family, type SeveralParam } from '@/core/pieces';
import { Button, Chip, Choices, Field, NumberField, PiecePicture, Text } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { SPACE } from '../../../theme';
import { buildCommands } from '../../open/chosenEdits';
import { useLay } from '../../open/laying';
import { Flow } from '../../parts/Section';
import { MATERIAL_WORDS, roleWords } from '../../open/pieceWords';

interface ChosenProps {
  /** The chosen pieces, at least one; figures are of the first. */
  readonly chosen: readonly Piece[];
}

// Buttons that are the same whatever is chosen.
const PLACE_BUTTONS = (
  <>
    <Button title="To the origin" onPress={buildCommands.toOrigin} />
    <Button title="Drop" onPress={buildCommands.drop} />
  </>
);
const TURN_BUTTON = <Button title="No turn" onPress={buildCommands.resetTurn} />;

/**
 * What is set in figures and words: own settings, place, turn, size, material and name. From one piece to the
 * next all of it stays but what differs.
 */
export function PieceFigures({ chosen }: ChosenProps) {
  const [piece] = chosen;
  const family = familyOf(piece.family);
  const alike = chosen.every((other) => other.family === piece.family);
  const ownAxes = useLay((s) => s.ownAxes);
  const sizeKeeps = useLay((s) => s.sizeKeeps);
  const sizable = chosen.every((other) => familyOf(other.family).sizable);
  return (
    <View style={{ gap: SPACE.m }}>
      <Heading chosen={chosen} alike={alike} />
      {alike && family.params.length > 0 && (
        <OwnSettings key={family.id} chosen={chosen} family={family} />
      )}
      <View style={{ gap: SPACE.xs }}>
        <Text as="strong">{ownAxes ? 'Place along its own axes' : 'Place'}</Text>
        <Axes kind={ownAxes ? 'own' : 'at'} chosen={chosen} />
        <Flow>{PLACE_BUTTONS}</Flow>
      </View>
      <View style={{ gap: SPACE.xs }}>
        <Text as="strong">Turn</Text>
        <Axes kind="turn" chosen={chosen} />
        {TURN_BUTTON}
      </View>
      {sizable && (
        <View style={{ gap: SPACE.xs }}>
          <Text as="strong">Size</Text>
          <Axes kind={sizeKeeps} chosen={chosen} />
          <Choices
            label="What stays when it grows"
            value={sizeKeeps}
            options={[
              { value: 'low', label: 'Left, foot, far side' },
              { value: 'middle', label: 'Its middle' },
              { value: 'high', label: 'Right, top, near side' },
            ]}
            onChange={(keeps) => useLay.getState().keepSide(keeps)}
          />
        </View>
      )}
      <MaterialChoice material={oneOf(chosen.map(materialOf)) ?? ''} />
      {(family.id === 'ashlar' || family.id === 'block' || family.id === 'slab') && <Edges />}
      {chosen.length === 1 && <Name name={piece.name ?? ''} family={family.label} />}
    </View>
  );
}

function Heading({ chosen, alike }: ChosenProps & { alike: boolean }) {
  const [piece] = chosen;
  const family = familyOf(piece.family);
  const many = chosen.length > 1;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.m }}>
      <PiecePicture piece={piece} size={56} />
      <View style={{ flex: 1 }}>
        <Text as="heading">{many ? `${chosen.length} pieces` : (piece.name ?? family.label)}</Text>
        <Text as="small" tint="slate">
          {many
            ? alike
              ? family.label
              : 'of several kinds'
            : piece.name
              ? family.label
              : roleWords(piece)}
        </Text>
      </View>
    </View>
  );
}

/** Edits what is chosen when it happens: the parts below stay as they are when that is something else. */
function editChosen(
  change: (course: Course, choice: ReadonlySet<string>) => Course,
  merge?: string,
): void {
  const { choice, edit } = useCourse.getState();
  edit((now) => change(now, choice), merge);
}

// Dials are the same objects from one piece to the next, so that a field is drawn anew for its value alone.
const ALL: readonly Axis[] = [0, 1, 2];
const AXES = {
  at: ALL.map((axis): NumericProperty => ({ kind: 'at', axis })),
  own: ALL.map((axis): NumericProperty => ({ kind: 'at', axis, own: true })),
  // Turning about the upright is what is wanted most.
  turn: ([1, 0, 2] as const).map((axis): NumericProperty => ({ kind: 'turn', axis })),
  middle: ALL.map((axis): NumericProperty => ({ kind: 'size', axis })),
  low: ALL.map((axis): NumericProperty => ({ kind: 'size', axis, keeps: 'low' })),
  high: ALL.map((axis): NumericProperty => ({ kind: 'size', axis, keeps: 'high' })),
};
const paramDials = new Map<string, NumericProperty>();
function paramDial(key: string): NumericProperty {
  let dial = paramDials.get(key);
  if (!dial) paramDials.set(key, (dial = { kind: 'param', key }));
  return dial;
}

/** Figures along or about each of the three axes. */
const Axes = ({ kind, chosen }: ChosenProps & { kind: keyof typeof AXES }) =>
  AXES[kind].map((dial, i) => <DialOf key={i} chosen={chosen} dial={dial} />);

function DialOf({ chosen, dial }: ChosenProps & { dial: NumericProperty }) {
  const value = readDial(chosen[0], dial);
  return (
    <DialField
      family={chosen[0].family}
      dial={dial}
      value={value}
      mixed={chosen.some((other) => Math.abs(readDial(other, dial) - value) > 1e-6)}
      subject={chosen.length === 1 ? chosen[0].id : `${chosen.length}`}
    />
  );
}

interface DialFieldProps {
  readonly family: string;
  readonly dial: NumericProperty;
  readonly value: number;
  readonly mixed: boolean;
  readonly subject: string;
}

const DialField = memo(function DialField({ family, dial, ...shown }: DialFieldProps) {
  const { label, unit, step } = dialRange(family, dial);
  const key = dial.kind === 'param' ? dial.key : `${dial.kind}${dial.axis}`;
  const words = {
    at: dial.kind === 'at' && dial.own ? `Place along its ${label}` : `Place ${label}`,
    turn: `Turn about ${label}`,
    size: label,
    param: label,
  };
  return (
    <NumberField
      {...shown}
      label={words[dial.kind]}
      unit={unit}
      step={step}
      testID={`dial-${key}`}
      onChange={(next) =>
        editChosen((now, choice) => setDial(now, choice, dial, next), `dial ${key}`)
      }
      onStep={(by) => editChosen((now, choice) => stepDial(now, choice, dial, by), `dial ${key}`)}
    />
  );
});

function OwnSettings({ chosen, family }: ChosenProps & { family: Family }) {
  const given = (key: string, initial: string | number) =>
    String(chosen[0].params?.[key] ?? initial);
  return (
    <View style={{ gap: SPACE.xs }}>
      <Text as="strong">
        {family.group === 'movers' || family.group === 'hazards' ? 'Motion' : 'Own settings'}
      </Text>
      {family.params.map((param) =>
        param.kind === 'number' ? (
          <DialOf key={param.key} chosen={chosen} dial={paramDial(param.key)} />
        ) : param.kind === 'choice' ? (
          <Choices
            key={param.key}
            label={param.label}
            value={given(param.key, param.initial)}
            options={param.options}
            onChange={(value) =>
              editChosen((now, choice) =>
                param.key === 'opens'
                  ? setOpening(now, choice, value)
                  : setChoiceParam(now, choice, param.key, value),
              )
            }
          />
        ) : param.kind === 'several' ? (
          <Several key={param.key} param={param} bits={Number(given(param.key, param.initial))} />
        ) : (
          family.id !== 'model' && (
            <Field
              key={param.key}
              label={param.label}
              value={given(param.key, param.initial)}
              maxLength={40}
              onChangeText={(value) =>
                editChosen(
                  (now, choice) => setChoiceParam(now, choice, param.key, value),
                  `text ${param.key}`,
                )
              }
            />
          )
        ),
      )}
    </View>
  );
}

/** Any of a few, each on or off. */
function Several({ param, bits }: { param: SeveralParam; bits: number }) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Text as="smallStrong">{param.label}</Text>
      <Flow>
        {param.options.map((option, i) => {
          const on = (bits & (1 << i)) !== 0;
          return (
            <Chip
              key={option}
              role="checkbox"
              label={option}
              on={on}
              onPress={() =>
                editChosen((now, choice) => setOneOfSeveral(now, choice, param.key, i, !on))
              }
            />
          );
        })}
      </Flow>
    </View>
  );
}

/** What all of them are; nothing where they are not all the same. */
const oneOf = <T,>(values: readonly T[]): T | undefined =>
  values.every((value) => value === values[0]) ? values[0] : undefined;

/** What a piece is painted as; nothing where it has a colour of its own. */
const materialOf = ({ look, family }: Piece): Material | '' =>
  look?.colour ? '' : (look?.material ?? (familyOf(family).material as Material));

const MATERIAL_OPTIONS = MATERIALS.map((value) => ({ value, label: MATERIAL_WORDS[value] }));

const MaterialChoice = memo(function MaterialChoice({ material }: { material: Material | '' }) {
  return (
    <Choices<Material | ''>
      label="Material"
      value={material}
      options={MATERIAL_OPTIONS}
      onChange={(next) =>
        editChosen((now, choice) => paintPieces(now, choice, { material: next as Material }))
      }
    />
  );
});

const Name = memo(function Name({ name, family }: { name: string; family: string }) {
  return (
    <Field
      label="Name"
      value={name}
      placeholder={family}
      maxLength={60}
      onChangeText={(next) =>
        editChosen((now, choice) => namePieces(now, choice, next), 'name piece')
      }
    />
  );
});

const SIDES: readonly BlockSide[] = ['+x', '-x', '+z', '-z'];

/** Pulling the top edges of a block up and down, each by itself. */
const Edges = memo(function Edges() {
  const [side, setSide] = useState<BlockSide>('+x');
  const pull = (by: number) =>
    editChosen((now, choice) => pullEdge(now, choice, side, by), `edge ${side}`);
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label="Top edge"
        value={side}
        options={SIDES.map((value) => ({ value, label: value.replace('-', '−') }))}
        onChange={setSide}
      />
      <Flow>
        <Button title="Pull down" icon="chevrons-down" onPress={() => pull(-0.25)} />
        <Button title="Pull up" icon="chevrons-up" onPress={() => pull(0.25)} />
      </Flow>
    </View>
  );
});
