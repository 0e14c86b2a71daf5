import { View } from 'react-native';
import { setNote } from '@/core/edit';
import type { Vec3 } from '@/core/geometry';
import { Button, Chip, Field, OneStop } from '../../parts';
import { useView } from '../../scene';
import { useEditing } from '../../state/panelSnapshot';
import { SPACE } from '../../theme';
import { useLayOf } from '../open/laying';

/** The notes on the sketch: each can be opened from here as well, changed and deleted. */
export function NoteFigures() {
  const { course, edit } = useEditing();
  const { sketchNote, chooseSketchNote } = useLayOf('sketchNote', 'chooseSketchNote');
  const notes = course.sketch?.notes ?? [];
  const note = sketchNote === null ? undefined : notes[sketchNote];
  if (notes.length === 0) return null;
  return (
    <View style={{ gap: SPACE.s }}>
      <OneStop
        as="radiogroup"
        name="Notes"
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}
      >
        {notes.map(({ at, text }, i) => (
          <Chip
            key={i}
            role="radio"
            label={text === '' ? 'Empty note' : text}
            on={sketchNote === i}
            onPress={() => {
              chooseSketchNote(i);
              useView.getState().look({ target: at as Vec3 });
            }}
          />
        ))}
      </OneStop>
      {note && sketchNote !== null && (
        <View>
          <Field
            label="Note"
            value={note.text}
            maxLength={120}
            onChangeText={(text) =>
              edit((before) => setNote(before, sketchNote, note.at as Vec3, text), 'note')
            }
            testID="note-text"
          />
          <Button
            title="Delete the note"
            onPress={() => {
              edit((before) => setNote(before, sketchNote, note.at as Vec3, null));
              chooseSketchNote(null);
            }}
          />
        </View>
      )}
    </View>
  );
}
