import { View } from 'react-native';
import { IconButton, ListItem, Sheet, Text } from '../../parts';
import type { Beginning } from '../liveRun';
import type { BeginPlace } from '../runProps';

interface BeginSheetProps {
  readonly open: boolean;
  readonly places: readonly BeginPlace[];
  /** Begins there; at the start where nothing is told. */
  readonly onBegin: (beginning: Beginning | undefined) => void;
  readonly onClose: () => void;
}

/** Where the next attempt begins: the start, a cairn, a kept moment. */
export function BeginSheet({ open, places, onBegin, onClose }: BeginSheetProps) {
  return (
    <Sheet title="Begin where?" open={open} onClose={onClose}>
      <View>
        <ListItem on={false} onPress={() => onBegin(undefined)} testID="begin-start">
          <Text style={{ flex: 1 }}>The start</Text>
        </ListItem>
        {places.map(({ key, name, note, beginning, onDrop }) => (
          <View key={key} style={{ flexDirection: 'row', alignItems: 'center' }}>
            <View style={{ flex: 1, minWidth: 0 }}>
              <ListItem
                on={false}
                disabled={!beginning}
                onPress={() => beginning && onBegin(beginning)}
                testID={`begin-${key}`}
              >
                <View style={{ flex: 1, minWidth: 0 }}>
                  <Text tint={beginning ? 'ink' : 'slate'}>{name}</Text>
                  {note && (
                    <Text as="small" tint="slate">
                      {note}
                    </Text>
                  )}
                </View>
              </ListItem>
            </View>
            {onDrop && <IconButton icon="x" label={`Let go of ${name}`} onPress={onDrop} />}
          </View>
        ))}
      </View>
    </Sheet>
  );
}
