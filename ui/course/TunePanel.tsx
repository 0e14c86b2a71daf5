import { View } from 'react-native';
import {
  namePieces,
  readDial,
  dialRange,
  setChoiceParam,
  setDial,
  setMaterial,
  type Dial,
} from '@/core/assemble';
import { MATERIALS, type Material, type Piece } from '@/core/course';
import { cairnNumber, familyOf } from '@/core/pieces';
import { Choices, Field, NumberField, PiecePicture, Row, Words } from '../parts';
import { useView } from '../scene';
import { useCourse } from '../state/courseStore';
import { SPACE } from '../theme';

const MATERIAL_NAMES: Record<Material, string> = {
  stone: 'Stone',
  slate: 'Slate',
  timber: 'Timber',
  moss: 'Moss',
};

/** The chosen piece in exact figures, or the list of what there is to tune. */
export function TunePanel() {
  const { course, choice } = useCourse();
  const piece = course.pieces.find(({ id }) => choice.has(id));
  return piece ? <PieceDials key={piece.id} piece={piece} /> : <PieceList />;
}

function PieceDials({ piece }: { piece: Piece }) {
  const { choice, edit } = useCourse();
  const family = familyOf(piece.family);
  const dial = (d: Dial) => {
    const { label, unit, step } = dialRange(piece.family, d);
    const key = d.kind === 'param' ? d.key : `${d.kind}${d.axis}`;
    const words =
      d.kind === 'at' ? `Place ${label}` : d.kind === 'turn' ? `Turn about ${label}` : label;
    return (
      <NumberField
        key={key}
        label={words}
        unit={unit}
        step={step}
        value={readDial(piece, d)}
        testID={`dial-${key}`}
        onChange={(value) => edit((course) => setDial(course, choice, d, value), `dial ${key}`)}
      />
    );
  };
  return (
    <View style={{ gap: SPACE.m }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.m }}>
        <PiecePicture piece={piece} size={56} />
        <View style={{ flex: 1 }}>
          <Words as="heading">{piece.name ?? family.label}</Words>
          <Words as="small" tint="slate">
            {piece.name ? family.label : roleWords(family.id)}
          </Words>
        </View>
      </View>
      {family.params.length > 0 && (
        <View style={{ gap: SPACE.xs }}>
          <Words as="strong">
            {family.group === 'movers' || family.id === 'arm' ? 'Motion' : 'Own settings'}
          </Words>
          {family.params.map((param) =>
            param.kind === 'number' ? (
              dial({ kind: 'param', key: param.key })
            ) : (
              <Choices
                key={param.key}
                label={param.label}
                value={String(piece.params?.[param.key] ?? param.initial)}
                options={param.options}
                onChange={(value) =>
                  edit((course) => setChoiceParam(course, choice, param.key, value))
                }
              />
            ),
          )}
        </View>
      )}
      <View>
        <Words as="strong">Place</Words>
        {([0, 1, 2] as const).map((axis) => dial({ kind: 'at', axis }))}
      </View>
      <View>
        <Words as="strong">Turn</Words>
        {([1, 0, 2] as const).map((axis) => dial({ kind: 'turn', axis }))}
      </View>
      {family.sizable && (
        <View>
          <Words as="strong">Size</Words>
          {([0, 1, 2] as const).map((axis) => dial({ kind: 'size', axis }))}
        </View>
      )}
      {family.material in MATERIAL_NAMES && (
        <Choices
          label="Material"
          value={piece.look?.material ?? (family.material as Material)}
          options={MATERIALS.map((value) => ({ value, label: MATERIAL_NAMES[value] }))}
          onChange={(material) => edit((course) => setMaterial(course, choice, material))}
        />
      )}
      <Field
        label="Name"
        value={piece.name ?? ''}
        placeholder={family.label}
        maxLength={60}
        onChangeText={(name) => edit((course) => namePieces(course, choice, name), 'name piece')}
      />
    </View>
  );
}

/** What a family is to the runner, in words. */
function roleWords(id: string): string {
  const { group } = familyOf(id);
  if (group === 'hazards') return 'Hazard, sends the runner back';
  if (group === 'movers') return 'Mover, carries the runner';
  if (id === 'shell') return 'Pickup';
  if (id === 'cairn') return 'Checkpoint';
  if (id === 'lantern') return 'Goal';
  if (id === 'start') return 'Where runs begin';
  return 'Solid';
}

/** What acts on the runner, named, to be chosen without finding it in the scene. */
export function PieceList() {
  const { course, choice, choose } = useCourse();
  const acting = course.pieces.filter(
    ({ family }) => !['stones', 'timber'].includes(familyOf(family).group) && family !== 'shell',
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
              {piece.family === 'cairn'
                ? `Checkpoint ${cairnNumber(piece)}`
                : roleWords(piece.family)}
            </Words>
          </View>
        </Row>
      ))}
    </View>
  );
}
