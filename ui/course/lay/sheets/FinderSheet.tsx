import Fuse from 'fuse.js';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { FAMILIES } from '@/core/pieces';
import { SearchField, ListItem, Sheet, Text } from '../../../parts';
import { COMMANDS } from '../../commands/list';
import { useNavigation } from '../../commands/navigation';
import { hintFor } from '../../commands/keys';
import { takeFamily } from '../tray/families';

interface Entry {
  readonly key: string;
  readonly label: string;
  readonly group: string;
  readonly hint?: string;
  readonly run: () => void;
}

/** Runs any command, or takes any piece, by its name. */
export function FinderSheet({ onClose }: { onClose: () => void }) {
  const navigation = useNavigation();
  const [words, setWords] = useState('');
  const entries = useMemo<Entry[]>(
    () => [
      ...COMMANDS.map(({ id, label, group, run }) => ({
        key: id,
        label,
        group,
        hint: hintFor(id),
        run: () => run({ navigation }),
      })),
      ...FAMILIES.map((family) => ({
        key: `take.${family.id}`,
        label: `Take ${family.label.toLowerCase()}`,
        group: 'Pieces',
        run: () => {
          navigation.to('lay');
          takeFamily(family);
        },
      })),
    ],
    [navigation],
  );
  const search = useMemo(
    () =>
      new Fuse(entries, {
        keys: [
          { name: 'label', weight: 3 },
          { name: 'group', weight: 1 },
        ],
        // Words that merely end alike are no answer.
        threshold: 0.3,
        ignoreLocation: true,
        minMatchCharLength: 2,
      }),
    [entries],
  );
  const found = words.trim() ? search.search(words).map(({ item }) => item) : entries;
  const run = (entry: Entry | undefined) => {
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
        onSubmitEditing={() => run(found[0])}
        testID="finder-words"
      />
      <View>
        {found.slice(0, 14).map((entry) => (
          <ListItem key={entry.key} onPress={() => run(entry)}>
            <Text style={{ flex: 1 }}>{entry.label}</Text>
            <Text as="small" tint="slate">
              {entry.hint ?? entry.group}
            </Text>
          </ListItem>
        ))}
        {found.length === 0 && <Text tint="slate">No command by that name.</Text>}
      </View>
    </Sheet>
  );
}
