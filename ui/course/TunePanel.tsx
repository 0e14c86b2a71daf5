import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import {
  namePieces,
  readDial,
  dialRange,
  setChoiceParam,
  paintPieces,
  pullEdge,
  setDial,
  type BlockSide,
  type Dial,
} from '@/core/assemble';
import { MATERIALS, type Material, type Piece } from '@/core/course';
import { cairnNumber, familyOf, legOf } from '@/core/pieces';
import {
  Button,
  Chip,
  Choices,
  Field,
  IconButton,
  NumberField,
  PiecePicture,
  Row,
  Words,
} from '../parts';
import { useView } from '../scene';
import { useCourse, useEditing } from '../state/courseStore';
import { SPACE, WIDE } from '../theme';
import { buildCommands } from './commands';
import { ContactSection } from './tune/ContactSection';
import { CourseRules } from './tune/CourseRules';
import { AllLinks, PieceLinks } from './tune/LinksSection';
import { MotionSection } from './tune/MotionSection';
import { MOTION_WORDS } from './tune/words';
import { endTuning, TUNE_TABS, useTune, type TuneTab } from './tune/tuneStore';

const MATERIAL_NAMES: Record<Material, string> = {
  stone: 'Stone',
  slate: 'Slate',
  timber: 'Timber',
  rope: 'Rope',
  metal: 'Metal',
  ice: 'Ice',
  moss: 'Moss',
  glow: 'Glow',
};

const TAB_WORDS: Record<TuneTab, string> = {
  place: 'Figures',
  contact: 'Contact',
  motion: 'Motion',
  links: 'Links',
};

/** The chosen piece in all that can be set of it, or what there is to tune in the course. */
export function TunePanel() {
  const { course, choice } = useEditing();
  const piece = course.pieces.find(({ id }) => choice.has(id));
  return piece ? <PieceTuning key={piece.id} piece={piece} /> : <CourseTuning />;
}

function PieceTuning({ piece }: { piece: Piece }) {
  const tab = useTune((s) => s.tab);
  const wide = useWindowDimensions().width >= WIDE;
  return (
    <View style={{ gap: SPACE.m }}>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View
          accessibilityRole="tablist"
          style={{ flex: 1, flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}
        >
          {TUNE_TABS.map((value) => (
            <Chip
              key={value}
              role="tab"
              tight={wide}
              label={TAB_WORDS[value]}
              on={tab === value}
              onPress={() => useTune.getState().set({ tab: value, drawingPath: false, link: null })}
            />
          ))}
        </View>
        {/* Where there is room the list stands beside. */}
        {!wide && (
          <IconButton
            icon="list"
            label="All pieces"
            onPress={() => {
              endTuning();
              useCourse.getState().choose([]);
            }}
          />
        )}
      </View>
      {tab === 'place' && <PieceDials piece={piece} />}
      {tab === 'contact' && <ContactSection piece={piece} />}
      {tab === 'motion' && <MotionSection piece={piece} />}
      {tab === 'links' && <PieceLinks piece={piece} />}
    </View>
  );
}

const COURSE_TABS = { pieces: 'Pieces', links: 'Links', course: 'Course' } as const;
type CourseTab = keyof typeof COURSE_TABS;

/** What there is to tune: the pieces that act, the links, and what holds for the whole course. */
export function CourseTuning() {
  const [tab, setTab] = useState<CourseTab>('pieces');
  return (
    <View style={{ gap: SPACE.m }}>
      <View accessibilityRole="tablist" style={{ flexDirection: 'row', gap: SPACE.xs }}>
        {(Object.keys(COURSE_TABS) as CourseTab[]).map((value) => (
          <Chip
            key={value}
            role="tab"
            label={COURSE_TABS[value]}
            on={tab === value}
            onPress={() => setTab(value)}
          />
        ))}
      </View>
      {tab === 'pieces' && <PieceList />}
      {tab === 'links' && <AllLinks />}
      {tab === 'course' && <CourseRules />}
    </View>
  );
}

function PieceDials({ piece }: { piece: Piece }) {
  const { course, choice, edit } = useEditing();
  const family = familyOf(piece.family);
  const chosen = course.pieces.filter(({ id }) => choice.has(id));
  const alike = chosen.every((other) => other.family === piece.family);
  const dial = (d: Dial) => {
    const { label, unit, step } = dialRange(piece.family, d);
    const key = d.kind === 'param' ? d.key : `${d.kind}${d.axis}`;
    const words =
      d.kind === 'at' ? `Place ${label}` : d.kind === 'turn' ? `Turn about ${label}` : label;
    const value = readDial(piece, d);
    return (
      <NumberField
        key={key}
        label={words}
        unit={unit}
        step={step}
        value={value}
        mixed={chosen.some((other) => Math.abs(readDial(other, d) - value) > 1e-6)}
        testID={`dial-${key}`}
        onChange={(next) => edit((now) => setDial(now, choice, d, next), `dial ${key}`)}
      />
    );
  };
  const sizable = chosen.every((other) => familyOf(other.family).sizable);
  return (
    <View style={{ gap: SPACE.m }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.m }}>
        <PiecePicture piece={piece} size={56} />
        <View style={{ flex: 1 }}>
          <Words as="heading">
            {chosen.length > 1 ? `${chosen.length} pieces` : (piece.name ?? family.label)}
          </Words>
          <Words as="small" tint="slate">
            {chosen.length > 1
              ? alike
                ? family.label
                : 'of several kinds'
              : piece.name
                ? family.label
                : roleWords(family.id)}
          </Words>
        </View>
      </View>
      {alike && family.params.length > 0 && (
        <View style={{ gap: SPACE.xs }}>
          <Words as="strong">
            {family.group === 'movers' || family.group === 'hazards' ? 'Motion' : 'Own settings'}
          </Words>
          {family.params.map((param) =>
            param.kind === 'number' ? (
              dial({ kind: 'param', key: param.key })
            ) : param.kind === 'choice' ? (
              <Choices
                key={param.key}
                label={param.label}
                value={String(piece.params?.[param.key] ?? param.initial)}
                options={param.options}
                onChange={(value) => edit((now) => setChoiceParam(now, choice, param.key, value))}
              />
            ) : (
              family.id !== 'model' && (
                <Field
                  key={param.key}
                  label={param.label}
                  value={String(piece.params?.[param.key] ?? param.initial)}
                  maxLength={40}
                  onChangeText={(value) =>
                    edit(
                      (now) => setChoiceParam(now, choice, param.key, value),
                      `text ${param.key}`,
                    )
                  }
                />
              )
            ),
          )}
        </View>
      )}
      <View>
        <Words as="strong">Place</Words>
        {([0, 1, 2] as const).map((axis) => dial({ kind: 'at', axis }))}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
          <Button title="To the origin" onPress={buildCommands.toOrigin} />
          <Button title="Drop" onPress={buildCommands.drop} />
        </View>
      </View>
      <View>
        <Words as="strong">Turn</Words>
        {([1, 0, 2] as const).map((axis) => dial({ kind: 'turn', axis }))}
        <Button title="No turn" onPress={buildCommands.resetTurn} />
      </View>
      {sizable && (
        <View>
          <Words as="strong">Size</Words>
          {([0, 1, 2] as const).map((axis) => dial({ kind: 'size', axis }))}
        </View>
      )}
      <Choices
        label="Material"
        value={
          chosen.every((other) => materialOf(other) === materialOf(piece)) ? materialOf(piece) : ''
        }
        options={MATERIALS.map((value) => ({ value, label: MATERIAL_NAMES[value] }))}
        onChange={(material) =>
          edit((now) => paintPieces(now, choice, { material: material as Material }))
        }
      />
      {(family.id === 'ashlar' || family.id === 'block' || family.id === 'slab') && <Edges />}
      {chosen.length === 1 && (
        <Field
          label="Name"
          value={piece.name ?? ''}
          placeholder={family.label}
          maxLength={60}
          onChangeText={(name) => edit((now) => namePieces(now, choice, name), 'name piece')}
        />
      )}
    </View>
  );
}

/** What a piece is painted as; nothing where it has a colour of its own. */
const materialOf = ({ look, family }: Piece): Material | '' =>
  look?.colour ? '' : (look?.material ?? (familyOf(family).material as Material));

const SIDES: readonly BlockSide[] = ['+x', '-x', '+z', '-z'];

/** Pulling the top edges of a block up and down, each by itself. */
function Edges() {
  const { choice, edit } = useEditing();
  const [side, setSide] = useState<BlockSide>('+x');
  const pull = (by: number) => edit((now) => pullEdge(now, choice, side, by), `edge ${side}`);
  return (
    <View style={{ gap: SPACE.s }}>
      <Choices
        label="Top edge"
        value={side}
        options={SIDES.map((value) => ({ value, label: value.replace('-', '−') }))}
        onChange={setSide}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        <Button title="Pull down" icon="chevrons-down" onPress={() => pull(-0.25)} />
        <Button title="Pull up" icon="chevrons-up" onPress={() => pull(0.25)} />
      </View>
    </View>
  );
}

/** What a family is to the runner, in words. */
function roleWords(id: string): string {
  const { group } = familyOf(id);
  if (group === 'hazards') return 'Hazard, sends the runner back';
  if (group === 'movers') return 'Mover, carries the runner';
  if (familyOf(id).worth) return `Pickup, worth ${familyOf(id).worth}`;
  if (id === 'portal') return 'Carries to the next of its number';
  if (id === 'gate') return 'Shut until its switch is touched';
  if (id === 'switch') return 'Opens the gates of its number';
  if (group === 'regions') return 'Region, felt and not seen';
  if (group === 'scenery') return 'Scenery';
  if (id === 'cairn') return 'Checkpoint';
  if (id === 'lantern') return 'Goal';
  if (id === 'start') return 'Where runs begin';
  return 'Solid';
}

/** What a piece of the list is, with its number where it has one. */
function actsAs(piece: Piece): string {
  if (piece.family === 'cairn') return `Checkpoint ${cairnNumber(piece)}`;
  const words = piece.loose
    ? 'Loose: falls and is pushed'
    : piece.thrower
      ? `Sends out ${familyOf(piece.thrower.what).label.toLowerCase()}s`
      : piece.motion
        ? `Moves: ${piece.motion.map(({ kind }) => MOTION_WORDS[kind].toLowerCase()).join(', ')}`
        : roleWords(piece.family);
  const leg = legOf(piece);
  return leg > 1 ? `${words}, leg ${leg}` : words;
}

/** What acts on the runner, named, to be chosen without finding it in the scene. */
export function PieceList() {
  const { course, choice, choose } = useEditing();
  const acting = course.pieces.filter(
    (piece) =>
      (['hazards', 'movers', 'marks', 'regions'].includes(familyOf(piece.family).group) &&
        familyOf(piece.family).worth === undefined) ||
      piece.motion ||
      piece.loose ||
      piece.thrower ||
      piece.role,
  );
  return (
    <View>
      <Words tint="slate" style={{ paddingBottom: SPACE.s }}>
        Touch a piece in the course to tune it, or choose one here.
      </Words>
      {acting.map((piece) => (
        <Row
          key={piece.id}
          label={piece.name ?? familyOf(piece.family).label}
          on={choice.has(piece.id)}
          onPress={() => {
            choose([piece.id]);
            useView.getState().look({ target: [piece.at[0], piece.at[1] + 1, piece.at[2]] });
          }}
        >
          <PiecePicture piece={piece} size={36} />
          <View style={{ flex: 1 }}>
            <Words>{piece.name ?? familyOf(piece.family).label}</Words>
            <Words as="small" tint="slate">
              {actsAs(piece)}
            </Words>
          </View>
        </Row>
      ))}
    </View>
  );
}
