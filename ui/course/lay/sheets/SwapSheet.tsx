import { useState } from 'react';
import { View } from 'react-native';
import { chosenOf, swapPieces } from '@/core/edit';
import { FAMILIES, familyOf } from '@/core/pieces';
import { SearchField, Sheet, Text } from '../../../parts';
import { useEditing } from '../../../state/panelSnapshot';
import { SPACE } from '../../../theme';
import { FamilyCard } from '../tray/FamilyCard';
import { findFamilies } from '../tray/families';

/** Another piece for the chosen ones, in their places. */
export function SwapSheet({ onClose }: { onClose: () => void }) {
  const { course, choice, edit } = useEditing();
  const [words, setWords] = useState('');
  const [first] = chosenOf(course, choice);
  const group = first && familyOf(first.family).group;
  const families = (
    words.trim() ? findFamilies(words) : FAMILIES.filter((family) => family.group === group)
  ).filter(({ drawn }) => !drawn);
  return (
    <Sheet title="Swap for" open onClose={onClose}>
      <SearchField
        name="Find a piece"
        placeholder="Find a piece"
        value={words}
        onChangeText={setWords}
        testID="swap-find"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s }}>
        {families.map((family) => (
          <FamilyCard
            key={family.id}
            family={family}
            on={first?.family === family.id}
            onPress={({ id }) => {
              edit((before) => swapPieces(before, choice, id));
              onClose();
            }}
          />
        ))}
        {families.length === 0 && <Text tint="slate">No piece by that name.</Text>}
      </View>
    </Sheet>
  );
}
