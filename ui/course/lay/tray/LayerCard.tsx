import { useState } from 'react';
import { View } from 'react-native';
import { changeLayer, moveLayer, putInLayer, removeLayer } from '@/core/edit';
import type { Course } from '@/core/course';
import { Field, IconButton, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { RADIUS, SPACE, useColours } from '../../../theme';

type Layer = NonNullable<Course['layers']>[number];

interface LayerCardProps {
  readonly layer: Layer;
  /** How many pieces it holds. */
  readonly count: number;
}

/** One layer: its name, what it holds, and what is done to it. */
export function LayerCard({ layer, count }: LayerCardProps) {
  const { choice, edit } = useEditing();
  const colours = useColours();
  const { id, name, hidden, locked } = layer;
  const change = (to: Partial<Layer>) => edit((before) => changeLayer(before, id, to));
  return (
    <View
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
      <LayerName layer={layer} count={count} />
      <IconButton
        icon={hidden ? 'eye-off' : 'eye'}
        label={`${hidden ? 'Show' : 'Hide'} ${name}`}
        on={!!hidden}
        onPress={() => change({ hidden: !hidden })}
      />
      <IconButton
        icon={locked ? 'lock' : 'unlock'}
        label={`${locked ? 'Unlock' : 'Lock'} ${name}`}
        on={!!locked}
        onPress={() => change({ locked: !locked })}
      />
      <IconButton
        icon="log-in"
        label={`Put the choice into ${name}`}
        disabled={choice.size === 0}
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
  );
}

/** A layer's name, typed anew once it is touched. */
function LayerName({ layer: { id, name }, count }: LayerCardProps) {
  const { edit } = useEditing();
  const [renaming, setRenaming] = useState(false);
  if (!renaming) {
    return (
      <View style={{ minWidth: 76, maxWidth: 120 }}>
        <Text as="smallStrong" numberOfLines={1} onPress={() => setRenaming(true)}>
          {name || 'Layer'}
        </Text>
        <Text as="small" tint="slate">
          {count} {count === 1 ? 'piece' : 'pieces'}
        </Text>
      </View>
    );
  }
  return (
    <View style={{ width: 130 }}>
      <Field
        name="Name of the layer"
        value={name}
        autoFocus
        maxLength={40}
        onChangeText={(text) =>
          edit((before) => changeLayer(before, id, { name: text }), `layer ${id}`)
        }
        onBlur={() => setRenaming(false)}
        onSubmitEditing={() => setRenaming(false)}
      />
    </View>
  );
}
