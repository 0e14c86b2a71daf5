import { useState } from 'react';
import { View } from 'react-native';
import { addLayer, changeLayer, clearMarks, moveLayer, putInLayer, removeLayer } from '@/core/edit';
import { Field, IconButton, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { RADIUS, SPACE, useColours } from '../../../theme';
import { ToolButton } from './ToolButton';

/** Layers with their names and order: shown or hidden, locked or not, and what is put into them. */
export function LayerOptions() {
  const { course, choice, edit } = useEditing();
  const colours = useColours();
  const [renaming, setRenaming] = useState<string | null>(null);
  const some = choice.size > 0;
  const count = (id: string) => course.pieces.filter(({ layer }) => layer === id).length;
  const anyHidden =
    course.pieces.some(({ hidden }) => hidden) || course.layers?.some(({ hidden }) => hidden);
  const anyLocked =
    course.pieces.some(({ locked }) => locked) || course.layers?.some(({ locked }) => locked);
  return (
    <>
      <ToolButton
        icon="plus"
        label="New layer"
        onPress={() =>
          edit((before) => {
            const { course: next, id } = addLayer(
              before,
              `Layer ${(before.layers?.length ?? 0) + 1}`,
            );
            return some ? putInLayer(next, choice, id) : next;
          })
        }
        testID="layer-new"
      />
      <ToolButton
        icon="eye"
        label="Show all"
        disabled={!anyHidden}
        onPress={() => edit((before) => clearMarks(before, 'hidden'))}
      />
      <ToolButton
        icon="unlock"
        label="Unlock all"
        disabled={!anyLocked}
        onPress={() => edit((before) => clearMarks(before, 'locked'))}
      />
      {!course.layers?.length && (
        <Text as="small" tint="slate" style={{ maxWidth: 140, alignSelf: 'center' }}>
          Layers hold pieces, to hide or lock them together.
        </Text>
      )}
      {course.layers?.map(({ id, name, hidden, locked }) => (
        <View
          key={id}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            paddingLeft: SPACE.s,
            minHeight: 64,
            borderRadius: RADIUS.s,
            borderWidth: 1,
            borderColor: colours.line,
            backgroundColor: colours.card,
          }}
        >
          {renaming === id ? (
            <View style={{ width: 130 }}>
              <Field
                name="Name of the layer"
                value={name}
                autoFocus
                maxLength={40}
                onChangeText={(text) =>
                  edit((before) => changeLayer(before, id, { name: text }), `layer ${id}`)
                }
                onBlur={() => setRenaming(null)}
                onSubmitEditing={() => setRenaming(null)}
              />
            </View>
          ) : (
            <View style={{ minWidth: 76, maxWidth: 120 }}>
              <Text as="smallStrong" numberOfLines={1} onPress={() => setRenaming(id)}>
                {name || 'Layer'}
              </Text>
              <Text as="small" tint="slate">
                {count(id)} {count(id) === 1 ? 'piece' : 'pieces'}
              </Text>
            </View>
          )}
          <IconButton
            icon={hidden ? 'eye-off' : 'eye'}
            label={`${hidden ? 'Show' : 'Hide'} ${name}`}
            on={!!hidden}
            onPress={() => edit((before) => changeLayer(before, id, { hidden: !hidden }))}
          />
          <IconButton
            icon={locked ? 'lock' : 'unlock'}
            label={`${locked ? 'Unlock' : 'Lock'} ${name}`}
            on={!!locked}
            onPress={() => edit((before) => changeLayer(before, id, { locked: !locked }))}
          />
          <IconButton
            icon="log-in"
            label={`Put the choice into ${name}`}
            disabled={!some}
            onPress={() => edit((before) => putInLayer(before, choice, id))}
          />
          <IconButton
            icon="chevron-left"
            label={`${name} earlier`}
            onPress={() => edit((before) => moveLayer(before, id, -1))}
          />
          <IconButton
            icon="trash-2"
            label={`Delete ${name}, keep its pieces`}
            danger
            onPress={() => edit((before) => removeLayer(before, id))}
          />
        </View>
      ))}
    </>
  );
}
