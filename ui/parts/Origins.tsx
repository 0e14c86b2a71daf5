import { Pressable, View } from 'react-native';
import type { Origin } from '@/core/course';
import { SPACE, TARGET } from '../theme';
import { Text } from './Text';

interface OriginsProps {
  /** The nearest first. */
  readonly origins: readonly Origin[];
  /** Opens the page of one that has a link. */
  readonly onOpen: (slug: string) => void;
}

/** Where a course came from, all the way up. */
export function Origins({ origins, onOpen }: OriginsProps) {
  return (
    <View testID="origins">
      <Text as="small" tint="slate">
        Taken apart from
      </Text>
      {origins.map(({ name, maker, slug }, i) => {
        const words = (
          <Text as={slug ? 'smallStrong' : 'small'} numberOfLines={1}>
            {name} <Text as="small">by {maker}</Text>
          </Text>
        );
        return (
          <View key={i} style={{ paddingLeft: Math.min(i, 4) * SPACE.m }}>
            {slug ? (
              <Pressable
                accessibilityRole="link"
                accessibilityLabel={`${name} by ${maker}`}
                onPress={() => onOpen(slug)}
                style={{ minHeight: TARGET, justifyContent: 'center' }}
              >
                {words}
              </Pressable>
            ) : (
              words
            )}
          </View>
        );
      })}
    </View>
  );
}
