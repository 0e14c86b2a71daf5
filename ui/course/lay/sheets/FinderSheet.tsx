import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { FAMILIES } from '@/core/pieces';
import { SearchField, ListItem, Sheet, Text } from '../../../parts';
import {
  COMMAND_WORDS,
  DESTROYING,
  found,
  goToSetting,
  SETTINGS,
  type Findable,
} from '../../commands/find';
import { COMMANDS } from '../../commands/list';
import { useNavigation, type Navigation } from '../../commands/navigation';
import { hintFor } from '../../commands/keys';
import { takeFamily } from '../tray/families';

export interface FinderEntry extends Findable {
  readonly key: string;
  readonly group: string;
  readonly hint?: string;
  readonly run: () => void;
}

/** All that can be found: commands, places of settings, and pieces to take in hand. */
export function finderEntries(navigation: Navigation): readonly FinderEntry[] {
  return [
    ...COMMANDS.map(({ id, label, group, run }) => ({
      key: id,
      ...{ label, group, words: COMMAND_WORDS[id], destroys: DESTROYING.has(id) },
      hint: hintFor(id),
      run: () => run({ navigation }),
    })),
    ...FAMILIES.map((family) => ({
      key: `take.${family.id}`,
      ...{ label: `Take ${family.label.toLowerCase()}`, words: family.words, group: 'Pieces' },
      run: () => {
        navigation.to('lay');
        takeFamily(family);
      },
    })),
    ...SETTINGS.map((place) => ({
      key: place.id,
      ...{ label: place.label, words: place.words, group: 'Settings' },
      run: () => goToSetting(place, { navigation }),
    })),
  ];
}

/** Runs any command, goes to any setting, or takes any piece, by whatever it is called. */
export function FinderSheet({ onClose }: { onClose: () => void }) {
  const navigation = useNavigation();
  const [words, setWords] = useState('');
  const entries = useMemo(() => finderEntries(navigation), [navigation]);
  const results = useMemo(() => found(entries, words), [entries, words]);
  const run = (entry: FinderEntry | undefined) => {
    if (!entry) return;
    onClose();
    entry.run();
  };
  return (
    <Sheet title="Find a command" open onClose={onClose}>
      <SearchField
        name="Command"
        placeholder="What do you want to do"
        autoFocus
        value={words}
        onChangeText={setWords}
        onSubmitEditing={() => run(results[0])}
        testID="finder-words"
      />
      <View>
        {results.slice(0, 14).map((entry) => (
          <ListItem key={entry.key} onPress={() => run(entry)}>
            <Text style={{ flex: 1 }}>{entry.label}</Text>
            <Text as="small" tint="slate">
              {entry.hint ?? entry.group}
            </Text>
          </ListItem>
        ))}
        {results.length === 0 && <Text tint="slate">Nothing is called that here.</Text>}
      </View>
    </Sheet>
  );
}
