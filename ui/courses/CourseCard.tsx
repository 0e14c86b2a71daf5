import { KIND_WORDS } from '@/core/course';
import { memo } from 'react';
import { Pressable, View, type DimensionValue } from 'react-native';
import {
  ago,
  Card,
  CoursePicture,
  DrawnPicture,
  Feather,
  IconButton,
  metres,
  resultText,
  Text,
} from '../parts';
import { pictureOf } from '../state/api';
import type { CourseInList } from '../state/unsent';
import { useWhileSeen } from '../state/useWhileSeen';
import { RADIUS, SPACE, useColours } from '../theme';

interface CourseCardProps {
  readonly item: CourseInList;
  readonly width: DimensionValue;
  readonly onOpen: (id: string) => void;
  readonly onMenu: (item: CourseInList) => void;
}

/** One course: its picture, what it is, whether it is proved, when it last changed. */
export const CourseCard = memo(function CourseCard({
  item,
  width,
  onOpen,
  onMenu,
}: CourseCardProps) {
  const colours = useColours();
  const shown = useWhileSeen(item);
  const { id, name, kind, length, revision, changed, here } = shown;
  const { words, icon, tint } = stateOf(shown);
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
          {here ? (
            <CoursePicture course={here} width={360} height={132} />
          ) : (
            <DrawnPicture uri={pictureOf.course({ id, revision })} of={name} />
          )}
        </View>
        <View style={{ padding: SPACE.m, paddingRight: 56, gap: 2 }}>
          <Text as="heading" numberOfLines={1}>
            {name || 'Unnamed course'}
          </Text>
          <Text as="small" tint="slate">
            {KIND_WORDS[kind]} · {metres(length)} · {ago(changed)}
          </Text>
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.xs, marginTop: 2 }}>
            <Feather name={icon} size={15} color={colours[tint]} />
            <Text as="small" tint={tint}>
              {words}
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

/** Whether it is proved and published, or first of all not on the server yet. */
function stateOf({ kind, proof, published, here }: CourseInList) {
  if (here)
    return { words: 'On this device, not sent yet', icon: 'upload-cloud', tint: 'slate' } as const;
  const out = published ? ' · published' : '';
  if (!proof) return { words: `No proof yet${out}`, icon: 'circle', tint: 'slate' } as const;
  return proof.fresh
    ? ({
        words: `Proved in ${resultText(kind, proof)}${out}`,
        icon: 'check-circle',
        tint: 'moss',
      } as const)
    : ({ words: `Proof is stale${out}`, icon: 'alert-circle', tint: 'rust' } as const);
}
