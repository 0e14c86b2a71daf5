import { memo } from 'react';
import { Pressable, View } from 'react-native';
import type { Family } from '@/core/pieces';
import { PiecePicture, Text } from '../../../parts';
import { RADIUS, useColours } from '../../../theme';

const pictures = new Map<string, { family: string }>();

/** One object a family, so that its picture is drawn once. */
export function pictured(id: string): { family: string } {
  let known = pictures.get(id);
  if (!known) {
    known = { family: id };
    pictures.set(id, known);
  }
  return known;
}

interface FamilyCardProps {
  readonly family: Family;
  readonly on: boolean;
  readonly favourite?: boolean;
  readonly small?: boolean;
  readonly onPress: (family: Family) => void;
  readonly onLongPress?: (family: Family) => void;
}

/** A family to take: its picture and its name. */
export const FamilyCard = memo(function FamilyCard({
  family,
  on,
  favourite,
  small,
  onPress,
  onLongPress,
}: FamilyCardProps) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={family.label}
      aria-pressed={on}
      testID={`family-${family.id}`}
      onPress={() => onPress(family)}
      onLongPress={onLongPress && (() => onLongPress(family))}
      style={({ pressed }) => ({
        opacity: pressed ? 0.6 : 1,
        width: small ? 72 : 88,
        alignItems: 'center',
        gap: 2,
      })}
    >
      <View
        style={{
          width: small ? 64 : 82,
          height: small ? 50 : 60,
          alignItems: 'center',
          justifyContent: 'center',
          borderRadius: RADIUS.s,
          borderWidth: on ? 3 : 1,
          borderColor: on ? colours.moss : colours.line,
          backgroundColor: colours.plate,
        }}
      >
        <PiecePicture piece={pictured(family.id)} size={small ? 42 : 52} />
        {favourite && (
          <View
            style={{
              position: 'absolute',
              top: 5,
              right: 5,
              width: 9,
              height: 9,
              borderRadius: 5,
              backgroundColor: colours.moss,
            }}
          />
        )}
      </View>
      <Text
        as={on ? 'smallStrong' : 'small'}
        centred
        style={{ fontSize: 13, lineHeight: 15, minHeight: 30 }}
      >
        {family.label}
      </Text>
    </Pressable>
  );
});
