import { memo } from 'react';
import { Pressable, View, type DimensionValue } from 'react-native';
import type { CourseListed } from '@/core/protocol';
import {
  ago,
  Card,
  DrawnPicture,
  Feather,
  IconButton,
  metres,
  runTime,
  Text,
  KIND_WORDS,
} from '../parts';
import { pictureOf } from '../state/api';
import { useWhileSeen } from '../state/useWhileSeen';
import { RADIUS, SPACE, useColours } from '../theme';

interface CourseCardProps {
  readonly item: CourseListed;
  readonly width: DimensionValue;
  readonly onOpen: (id: string) => void;
  readonly onMenu: (item: CourseListed) => void;
}

/** One course: its picture, what it is, whether it is proved, when it last changed. */
export const CourseCard = memo(function CourseCard({
  item,
  width,
  onOpen,
  onMenu,
}: CourseCardProps) {
  const colours = useColours();
  const { id, name, kind, length, revision, proof, published, changed } = useWhileSeen(item);
  const proofWords = !proof
    ? 'No proof yet'
    : proof.fresh
      ? `Proved in ${runTime(proof.time)}`
      : 'Proof is stale';
  const proofIcon = !proof ? 'circle' : proof.fresh ? 'check-circle' : 'alert-circle';
  const proofTint = !proof ? 'slate' : proof.fresh ? 'moss' : 'rust';
  return (
    <Card style={{ width, overflow: 'hidden' }}>
      <Pressable accessibilityRole="link" testID={`open-${name}`} onPress={() => onOpen(id)}>
        <View
          style={{
            backgroundColor: colours.shallows,
            borderTopLeftRadius: RADIUS.m,
            borderTopRightRadius: RADIUS.m,
          }}
        >
          <DrawnPicture uri={pictureOf.course({ id, revision })} of={name} />
        </View>
        <View style={{ padding: SPACE.m, paddingRight: 56, gap: 2 }}>
          <Text as="heading" numberOfLines={1}>
            {name || 'Unnamed course'}
          </Text>
          <Text as="small" tint="slate">
            {KIND_WORDS[kind]} · {metres(length)} · {ago(changed)}
          </Text>
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.xs, marginTop: 2 }}>
            <Feather name={proofIcon} size={15} color={colours[proofTint]} />
            <Text as="small" tint={proofTint}>
              {proofWords}
              {published ? ' · published' : ''}
            </Text>
          </View>
        </View>
      </Pressable>
      <IconButton
        icon="more-vertical"
        label={`More for ${name}`}
        onPress={() => onMenu(item)}
        style={{ position: 'absolute', right: 4, bottom: 30 }}
      />
    </Card>
  );
});
