import { View } from 'react-native';
import { markPieces, namePieces } from '@/core/edit';
import type { Piece } from '@/core/course';
import { Field, IconButton, Sheet, Text } from '../../../parts';
import { useCourse } from '../../../state/courseStore';
import { SPACE, useColours } from '../../../theme';
import { pieceName } from '../../open/pieceWords';

/** Most pieces that are listed by themselves. */
const MOST = 200;

/** What is hidden or locked, piece by piece and layer by layer: shown, unlocked and named from here. */
export function HiddenSheet({ onClose }: { onClose: () => void }) {
  const course = useCourse((s) => s.course);
  const layers = (course.layers ?? []).filter(({ hidden, locked }) => hidden || locked);
  const pieces = course.pieces.filter(({ hidden, locked }) => hidden || locked);
  return (
    <Sheet title="Hidden and locked" open onClose={onClose}>
      {layers.length + pieces.length === 0 && (
        <Text tint="slate">Nothing is hidden or locked.</Text>
      )}
      {layers.map((layer) => (
        <Line
          key={layer.id}
          name={layer.name}
          kind="Layer"
          hidden={layer.hidden === true}
          locked={layer.locked === true}
          onName={(name) => changeLayer(layer.id, { name })}
          onShow={() => changeLayer(layer.id, { hidden: undefined })}
          onUnlock={() => changeLayer(layer.id, { locked: undefined })}
        />
      ))}
      {pieces.slice(0, MOST).map((piece) => (
        <PieceLine key={piece.id} piece={piece} />
      ))}
      {pieces.length > MOST && (
        <Text as="small" tint="slate">
          And {pieces.length - MOST} more.
        </Text>
      )}
    </Sheet>
  );
}

function changeLayer(
  id: string,
  change: { name?: string; hidden?: undefined; locked?: undefined },
): void {
  useCourse.getState().edit((course) => ({
    ...course,
    layers: course.layers?.map((layer) => (layer.id === id ? { ...layer, ...change } : layer)),
  }));
}

function PieceLine({ piece }: { piece: Piece }) {
  const { edit } = useCourse.getState();
  const only = new Set([piece.id]);
  return (
    <Line
      name={piece.name ?? ''}
      placeholder={pieceName(piece)}
      kind={pieceName(piece)}
      hidden={piece.hidden === true}
      locked={piece.locked === true}
      onName={(name) => edit((now) => namePieces(now, only, name), `name ${piece.id}`)}
      onShow={() => edit((now) => markPieces(now, only, 'hidden', false))}
      onUnlock={() => edit((now) => markPieces(now, only, 'locked', false))}
    />
  );
}

interface LineProps {
  readonly name: string;
  readonly placeholder?: string;
  readonly kind: string;
  readonly hidden: boolean;
  readonly locked: boolean;
  readonly onName: (name: string) => void;
  readonly onShow: () => void;
  readonly onUnlock: () => void;
}

function Line({ name, placeholder, kind, hidden, locked, onName, onShow, onUnlock }: LineProps) {
  const colours = useColours();
  const called = name || placeholder || kind;
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: SPACE.s,
        borderBottomWidth: 1,
        borderColor: colours.line,
        paddingVertical: SPACE.xs,
      }}
    >
      <View style={{ flex: 1 }}>
        <Field
          name={`Name of ${called}`}
          value={name}
          placeholder={placeholder}
          maxLength={40}
          onChangeText={onName}
        />
      </View>
      {hidden && <IconButton icon="eye" label={`Show ${called}`} onPress={onShow} />}
      {locked && <IconButton icon="unlock" label={`Unlock ${called}`} onPress={onUnlock} />}
    </View>
  );
}
