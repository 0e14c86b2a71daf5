import { router } from 'expo-router';
import { UNNAMED } from '@/core/protocol';
import { Text } from './Text';
import { makerPage } from '../device/routes';

/** Who made something, leading to their page; who has no name has none. */
export function MakerLink({ name }: { readonly name: string }) {
  if (name === UNNAMED) return <>{name}</>;
  return (
    <Text
      as="small"
      accessibilityRole="link"
      style={{ textDecorationLine: 'underline' }}
      onPress={() => router.push(makerPage(name))}
      testID="maker-link"
    >
      {name}
    </Text>
  );
}
