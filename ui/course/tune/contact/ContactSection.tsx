import { useMemo } from 'react';
import { View } from 'react-native';
import {
  allowanceOf,
  contactShapes,
  diffPieces,
  familyOf,
  localGeometry,
  massOf,
  mayBeLoose,
} from '@/core/pieces';
import {
  setAllowance,
  setCollision,
  setFamilyCollision,
  setLoose,
  setRole,
  setBehaviour,
} from '@/core/edit';
import { HURTS, MATERIALS, ROLES, type Allowance, type Piece, type PieceRole } from '@/core/course';
import { Button, Chip, Choices, NumberField, numberText, weightText, Text } from '../../../parts';
import { useEditing, usePanelSnapshot } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { AllowanceFigures } from '../figures/AllowanceFigures';
import { Flow, Section } from '../../parts/Section';
import { useTune } from '../../open/tuneStore';
import { HURT_WORDS, ROLE_WORDS } from '../../open/pieceWords';
import { tryEdit } from '../../open/tryEdit';
import { SurfaceSection } from './SurfaceSection';

/** What of the chosen pieces touches, what touching does, and how kindly. */
export function ContactSection({ piece }: { piece: Piece }) {
  const { course, choice, edit } = useEditing();
  const showShapes = useTune((s) => s.shapes);
  const shapes = contactShapes(course, piece);
  const role = piece.role ?? 'family';
  // What its own family makes of it is not for a maker to change.
  const marks = localGeometry(piece).shapes.some(({ role: own }) =>
    ['checkpoint', 'goal', 'portal', 'switch', 'region'].includes(own),
  );
  const hazard = shapes.some((shape) => shape.role === 'hazard');
  const pickup = shapes.some((shape) => shape.role === 'pickup');
  const solid = shapes.some((shape) => shape.role === 'solid');
  return (
    <View style={{ gap: SPACE.m }}>
      <Flow>
        <Chip
          role="checkbox"
          label="Show all shapes"
          on={showShapes}
          onPress={() => useTune.getState().set({ shapes: !showShapes })}
        />
      </Flow>
      {!marks && (
        <Choices
          label="Role"
          value={role}
          options={[
            { value: 'family' as PieceRole | 'family', label: 'As its family' },
            ...ROLES.map((value) => ({ value, label: ROLE_WORDS[value] })),
          ]}
          onChange={(next) =>
            edit((now) => setRole(now, choice, next === 'family' ? undefined : next))
          }
        />
      )}
      {(piece.role === 'checkpoint' || piece.role === 'goal') && <Marking piece={piece} />}
      {hazard && <Hurting piece={piece} />}
      {pickup && <Gathering piece={piece} />}
      {(mayBeLoose(piece) || piece.loose) && <Body piece={piece} />}
      {solid && !piece.loose && <OneWay piece={piece} />}
      {solid && <SurfaceSection piece={piece} />}
      {solid && <Breaking piece={piece} />}
      <Allowances piece={piece} />
      <Shape piece={piece} />
      {!marks && <Touching piece={piece} />}
      <Flow>
        <Chip
          role="checkbox"
          label="Hidden at start"
          on={piece.absent === true}
          onPress={() =>
            edit((now) => setBehaviour(now, choice, 'absent', piece.absent ? undefined : true))
          }
        />
      </Flow>
    </View>
  );
}

/** What happens to who touches it. */
function Hurting({ piece }: { piece: Piece }) {
  const { choice, edit } = useEditing();
  const { hurt } = piece;
  const set = (next: Piece['hurt'], merge?: string) =>
    edit((now) => setBehaviour(now, choice, 'hurt', next), merge);
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label="Who touches it is"
        value={hurt?.does ?? 'back'}
        options={HURTS.map((value) => ({ value, label: HURT_WORDS[value] }))}
        onChange={(does) => set(does === 'back' ? undefined : { ...hurt, does })}
      />
      {hurt && hurt.does !== 'back' && (
        <NumberField
          label={hurt.does === 'push' ? 'Thrown at' : 'Slowed for'}
          unit={hurt.does === 'push' ? 'm/s' : 's'}
          step={0.5}
          value={hurt.force ?? (hurt.does === 'push' ? 9 : 1.5)}
          onChange={(force) => set({ ...hurt, force }, 'hurt')}
        />
      )}
    </View>
  );
}

/** What gathering it counts for, and whether it comes back. */
function Gathering({ piece }: { piece: Piece }) {
  const { choice, edit } = useEditing();
  const family = familyOf(piece.family);
  const set = (key: 'worth' | 'respawn', value: number | undefined) =>
    edit((now) => setBehaviour(now, choice, key, value), key);
  return (
    <View>
      <NumberField
        label="Worth"
        unit=""
        step={1}
        value={piece.worth ?? family.worth ?? 1}
        onChange={(worth) => set('worth', worth === family.worth ? undefined : Math.round(worth))}
      />
      <NumberField
        label="There again after"
        unit="s"
        step={1}
        value={piece.respawn ?? 0}
        onChange={(respawn) => set('respawn', respawn === 0 ? undefined : respawn)}
      />
    </View>
  );
}

/** Whether the chosen pieces stand firm, or fall and are pushed. */
function Body({ piece }: { piece: Piece }) {
  const { course, choice } = useEditing();
  const material = piece.look?.material ?? familyOf(piece.family).material;
  const known = MATERIALS.find((name) => name === material) ?? 'timber';
  return (
    <View style={{ gap: SPACE.xs }}>
      <Choices
        label="Body"
        value={piece.loose ? 'loose' : 'fixed'}
        options={[
          { value: 'fixed', label: 'Stands firm' },
          { value: 'loose', label: 'Loose: falls and is pushed' },
        ]}
        onChange={(value) => tryEdit((now) => setLoose(now, choice, value === 'loose'))}
      />
      {piece.loose && (
        <Text as="small" tint="slate" testID="loose-weight">
          {`Weighs ${weightText(massOf(course, piece))}, being of ${known}.`}
        </Text>
      )}
    </View>
  );
}

function OneWay({ piece }: { piece: Piece }) {
  const { choice, edit } = useEditing();
  const { oneWay } = piece;
  const set = (next: Piece['oneWay'], merge?: string) =>
    edit((now) => setBehaviour(now, choice, 'oneWay', next), merge);
  return (
    <Section title="One-way face">
      <Flow>
        <Chip
          role="checkbox"
          label="Stops from one side only"
          on={oneWay !== undefined}
          onPress={() => set(oneWay ? undefined : { side: 0 })}
        />
        {oneWay && (
          <Chip
            role="checkbox"
            label="May be dropped through"
            on={oneWay.drop === true}
            onPress={() => set({ side: oneWay.side, ...(oneWay.drop ? {} : { drop: true }) })}
          />
        )}
      </Flow>
      {oneWay && (
        <NumberField
          label="Its side, from straight up"
          unit="°"
          step={15}
          value={oneWay.side}
          testID="one-way-side"
          onChange={(side) => set({ ...oneWay, side }, 'one way')}
        />
      )}
    </Section>
  );
}

function Breaking({ piece }: { piece: Piece }) {
  const { choice, edit } = useEditing();
  const { breaks } = piece;
  const set = (next: Piece['breaks'], merge?: string) =>
    edit((now) => setBehaviour(now, choice, 'breaks', next), merge);
  return (
    <Section title="Breaks">
      <Choices
        value={breaks ? (breaks.speed === undefined ? 'touches' : 'speed') : 'never'}
        options={[
          { value: 'never', label: 'Never' },
          { value: 'touches', label: 'When touched so often' },
          { value: 'speed', label: 'When met so fast' },
        ]}
        onChange={(how) =>
          set(how === 'never' ? undefined : how === 'touches' ? { touches: 1 } : { speed: 4 })
        }
      />
      {breaks?.touches !== undefined && (
        <NumberField
          label="Touches"
          unit=""
          step={1}
          value={breaks.touches}
          onChange={(touches) => set({ touches: Math.round(touches) }, 'breaks')}
        />
      )}
      {breaks?.speed !== undefined && (
        <NumberField
          label="At"
          unit="m/s"
          step={0.5}
          value={breaks.speed}
          onChange={(speed) => set({ speed }, 'breaks')}
        />
      )}
    </Section>
  );
}

function Allowances({ piece }: { piece: Piece }) {
  const { course, choice, edit } = useEditing();
  const shape = contactShapes(course, piece)[0];
  if (!shape) return null;
  const { family, allowance: own } = piece;
  const now = allowanceOf(course, piece, shape.role);
  const ofFamily = course.allowances?.families?.[family];
  const value: Allowance = now ?? { by: 'cm', value: 0 };
  const every = familyOf(family).label.toLowerCase();
  const setOwn = (next: Allowance | undefined, merge?: string) =>
    edit((before) => setBehaviour(before, choice, 'allowance', next), merge);
  const setFamily = (next: Allowance | undefined, merge?: string) =>
    edit((before) => setAllowance(before, { family }, next), merge);
  return (
    <Section title="Allowance">
      <Choices
        value={own ? 'piece' : 'usual'}
        options={[
          { value: 'usual', label: 'As usual here' },
          { value: 'piece', label: 'Its own' },
        ]}
        onChange={(next) => setOwn(next === 'piece' ? value : undefined)}
      />
      {own && <AllowanceFigures value={own} testID="allowance" onChange={setOwn} />}
      {!own && now && (
        <Text as="small" tint="slate">
          {`${ofFamily ? `As every ${every}` : 'By its role'}: ${numberText(now.value)} ${now.by === 'cm' ? 'cm' : '%'} on every side.`}
        </Text>
      )}
      <Flow>
        <Chip
          role="checkbox"
          label={`For every ${every}`}
          on={ofFamily !== undefined}
          onPress={() =>
            edit((before) =>
              // What holds for all need not be said of these as well.
              setAllowance(
                ofFamily ? before : setBehaviour(before, choice, 'allowance', undefined),
                { family },
                ofFamily ? undefined : value,
              ),
            )
          }
        />
      </Flow>
      {ofFamily && (
        <AllowanceFigures value={ofFamily} testID="family-allowance" onChange={setFamily} />
      )}
    </Section>
  );
}

function Shape({ piece }: { piece: Piece }) {
  const course = usePanelSnapshot((s) => s.course);
  const apart = useMemo(() => diffPieces(course, piece), [course, piece]);
  const own = piece.shape
    ? 'Drawn for this piece.'
    : course.shapes?.[piece.family]
      ? 'Drawn for its family.'
      : 'As its family has it.';
  return (
    <Section title="Collision shape">
      <Text tint="slate" testID="shape-difference">
        {apart
          ? `${own} At most ${Math.round(apart.distance * 100)} cm from the picture; their areas differ by ${Math.round(apart.area * 100)} %.`
          : 'Nothing of it touches.'}
      </Text>
      <Button
        title="Draw the shape"
        icon="pen-tool"
        testID="draw-shape"
        onPress={() => useTune.getState().set({ shaping: piece.id })}
      />
    </Section>
  );
}

/** Whether the piece touches, by itself, and all of its family in this course. */
function Touching({ piece }: { piece: Piece }) {
  const { course, choice, edit } = useEditing();
  const family = familyOf(piece.family);
  const usual = course.collides?.[family.id] ?? family.group !== 'scenery';
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label="Collision"
        value={piece.collision ?? 'usual'}
        options={[
          { value: 'usual', label: usual ? 'Usual: on' : 'Usual: off' },
          { value: 'on', label: 'On' },
          { value: 'off', label: 'Off' },
        ]}
        onChange={(value) =>
          edit((now) => setCollision(now, choice, value as 'on' | 'off' | 'usual'))
        }
      />
      <Button
        title={`${usual ? 'Off' : 'On'} for every ${family.label.toLowerCase()}`}
        onPress={() => {
          const own = family.group !== 'scenery';
          edit((now) => setFamilyCollision(now, family.id, !usual === own ? null : !usual));
        }}
      />
    </View>
  );
}

/** The number and leg of a piece that is a checkpoint or goal by the role it was given. */
function Marking({ piece }: { piece: Piece }) {
  const { choice, edit, course } = useEditing();
  const mark = piece.mark ?? {};
  const set = (next: Piece['mark'], merge?: string) =>
    edit((now) => setBehaviour(now, choice, 'mark', next), merge);
  const checkpoint = piece.role === 'checkpoint';
  return (
    <View>
      {checkpoint && (
        <NumberField
          label="Number"
          unit=""
          step={1}
          value={mark.number ?? 1}
          testID="mark-number"
          onChange={(v) => set({ ...mark, number: Math.round(v) }, 'mark number')}
        />
      )}
      {(course.legs?.length ?? 1) > 1 && (
        <NumberField
          label="Leg"
          unit=""
          step={1}
          value={mark.leg ?? 1}
          onChange={(v) => set({ ...mark, leg: Math.round(v) }, 'mark leg')}
        />
      )}
      {checkpoint && (
        <Chip
          role="checkbox"
          label="Respawning here puts all back as it was"
          on={mark.resets === true}
          onPress={() => {
            const { resets, ...rest } = mark;
            set(resets ? rest : { ...mark, resets: true });
          }}
        />
      )}
    </View>
  );
}
