import { useReducer, useState } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { setShape, shapeFromPicture, shapeOf, withPart } from '@/core/edit';
import type { Piece, ShapePart } from '@/core/course';
import { pieceName } from '@/core/pieces';
import { Button, Choices, IconButton, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE, useColours, WIDE } from '../../../theme';
import { tryEdit } from '../../open/tryEdit';
import { Flow } from '../../parts/Section';
import { PartAllowance } from './PartAllowance';
import { DentNotice, dentOfHeld, PartButtons, PartTabs } from './PartButtons';
import { PartFigures } from './PartFigures';
import { ShapeBoard } from './ShapeBoard';
import { beginDraft, draftStep, type DraftEvent, type ShapeDraft } from './shapeDraft';

/** How wide the figures beside the board are on a wide screen, pixels. */
const SIDE = 380;

interface EditorProps {
  readonly piece: Piece;
  readonly onClose: () => void;
}

/** A shape being drawn: its board, and beside or under it the figures of the part that is held. */
export function ShapeEditor({ piece, onClose }: EditorProps) {
  const colours = useColours();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const { course } = useEditing();
  const [draft, send] = useReducer(draftStep, null, () => beginDraft(shapeOf(course, piece)));
  const [of, setOf] = useState<'piece' | 'family'>(
    course.shapes?.[piece.family] ? 'family' : 'piece',
  );
  const keep = () => {
    tryEdit((now) => {
      const next = setShape(now, piece, of, draft.shape);
      onClose();
      return next;
    });
  };
  const boardWidth = wide ? width - SIDE : width;
  return (
    <View
      style={{ flex: 1, flexDirection: wide ? 'row' : 'column', backgroundColor: colours.paper }}
      testID="shape-editor"
    >
      <View style={{ width: boardWidth, flex: wide ? 1 : undefined }}>
        <EditorBar
          title={`Shape of ${pieceName(piece).toLowerCase()}`}
          canUndo={draft.past.length > 0}
          onUndo={() => send({ do: 'undo' })}
          onKeep={keep}
          onClose={onClose}
        />
        <ShapeBoard
          piece={piece}
          shape={draft.shape}
          held={draft.held}
          dent={dentOfHeld(draft)}
          width={boardWidth}
          height={wide ? Math.min(width - 400, height - 40) : Math.min(width, height * 0.52)}
          onTake={(held) => send({ do: 'take', held })}
          onDrag={(to) => send({ do: 'drag', to })}
        />
      </View>
      <ScrollView
        style={{
          flex: 1,
          maxWidth: wide ? SIDE : undefined,
          borderLeftWidth: wide ? 1 : 0,
          borderTopWidth: wide ? 0 : 1,
          borderColor: colours.line,
          backgroundColor: colours.card,
        }}
        contentContainerStyle={{ padding: SPACE.l, gap: SPACE.m }}
      >
        <DentNotice draft={draft} send={send} />
        <PartTabs piece={piece} draft={draft} send={send} />
        <HeldPart draft={draft} send={send} />
        <PartButtons piece={piece} draft={draft} send={send} />
        <StartOver piece={piece} of={of} send={send} onClose={onClose} />
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

interface BarProps {
  readonly title: string;
  readonly canUndo: boolean;
  readonly onUndo: () => void;
  readonly onKeep: () => void;
  readonly onClose: () => void;
}

function EditorBar({ title, canUndo, onUndo, onKeep, onClose }: BarProps) {
  return (
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
        {title}
      </Text>
      <IconButton icon="corner-up-left" label="Undo" disabled={!canUndo} onPress={onUndo} />
      <Button title="Keep" kind="main" onPress={onKeep} testID="keep-shape" />
    </View>
  );
}

interface DraftProps {
  readonly draft: ShapeDraft;
  readonly send: (event: DraftEvent) => void;
}

function HeldPart({ draft: { shape, held }, send }: DraftProps) {
  const part = shape.parts[held.part];
  if (!part) return null;
  const become = (next: ShapePart) =>
    send({ do: 'change', shape: withPart(shape, held.part, next) });
  return (
    <>
      <PartFigures part={part} point={held.point} onChange={become} />
      <PartAllowance part={part} onChange={become} />
    </>
  );
}

interface StartOverProps extends EditorProps {
  readonly of: 'piece' | 'family';
  readonly send: (event: DraftEvent) => void;
}

function StartOver({ piece, of, send, onClose }: StartOverProps) {
  const { edit } = useEditing();
  const from = (what: 'hull' | 'parts') =>
    send({ do: 'change', shape: shapeFromPicture(piece, what) });
  return (
    <>
      <Text as="strong">Start over</Text>
      <Flow>
        <Button title="From its outline" onPress={() => from('hull')} />
        <Button title="From its parts" onPress={() => from('parts')} />
        <Button
          title="As the family has it"
          onPress={() => {
            edit((now) => setShape(now, piece, of, undefined));
            onClose();
          }}
        />
      </Flow>
    </>
  );
}
