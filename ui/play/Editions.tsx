import { router } from 'expo-router';
import { View } from 'react-native';
import type { EditionChange, PublishedCourse } from '@/core/protocol';
import { ago, ListItem, Text } from '../parts';

/** The editions of a published course and what became of it from one to the next; each opens as it was. */
export function Editions({ data }: { readonly data: PublishedCourse }) {
  const { edition, editions } = data;
  if (editions.length < 2) return null;
  const now = editions[0].edition;
  const open = (asked: number) =>
    router.setParams({ edition: asked === now ? undefined : String(asked) } as never);
  return (
    <View testID="editions">
      <Text as="heading">Editions</Text>
      <Text as="small" tint="slate">
        Each has best times of its own.
      </Text>
      {editions.map((one) => (
        <ListItem
          key={one.edition}
          on={one.edition === edition}
          onPress={() => open(one.edition)}
          testID={`edition-${one.edition}`}
        >
          <View style={{ flex: 1 }}>
            <Text as={one.edition === edition ? 'strong' : 'text'}>
              {one.edition}
              {one.edition === now ? ', as it is now' : ''} · {ago(one.published)}
            </Text>
            <Text as="small" tint="slate">
              {one.changes ? changeWords(one.changes) : 'The first'}
            </Text>
          </View>
        </ListItem>
      ))}
    </View>
  );
}

/** What became of a course, in words: 2 pieces more, 1 gone, 3 moved, 1 changed. */
export function changeWords({ added, removed, moved, changed }: EditionChange): string {
  const told = [
    added > 0 && `${added} more`,
    removed > 0 && `${removed} gone`,
    moved > 0 && `${moved} moved`,
    changed > 0 && `${changed} changed`,
  ].filter((words) => words !== false);
  if (told.length === 0) return 'The pieces stayed as they were; its rules changed';
  const [first, ...rest] = told;
  const [count, ...words] = first.split(' ');
  const pieces = count === '1' ? 'piece' : 'pieces';
  return [`${count} ${pieces} ${words.join(' ')}`, ...rest].join(', ');
}
