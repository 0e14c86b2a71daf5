import { router } from 'expo-router';
import { memo } from 'react';
import { Pressable, View, type DimensionValue } from 'react-native';
import type { CourseFound } from '@/core/protocol';
import {
  Card,
  Difficulty,
  DrawnPicture,
  Feather,
  metres,
  runTime,
  strokesText,
  Text,
  triesWords,
} from '../parts';
import { RUNNER_ROWS } from '../run/runners';
import { pictureOf } from '../state/api';
import { RADIUS, SPACE, useColours } from '../theme';
import { playPage } from '../device/routes';

/** What is to be beaten: the maker's own time, or strokes where the fewest win. */
const measure = ({ time, strokes }: CourseFound): string =>
  strokes === undefined ? runTime(time) : strokesText(strokes);

/** A published course: its picture, what it is, and how it is run. */
export const ExploreCard = memo(function ExploreCard({
  course,
  width,
}: {
  readonly course: CourseFound;
  readonly width: DimensionValue;
}) {
  const colours = useColours();
  const { slug, name, maker, runner, length, likes, finished, difficulty } = course;
  return (
    <Card style={{ width, overflow: 'hidden' }}>
      <Pressable
        accessibilityRole="link"
        testID={`found-${slug}`}
        onPress={() => router.push(playPage(slug))}
      >
        <View style={{ backgroundColor: colours.shallows }}>
          <DrawnPicture uri={pictureOf.published(course)} of={name} />
          <View
            style={{
              position: 'absolute',
              right: SPACE.s,
              bottom: SPACE.s,
              paddingHorizontal: SPACE.s,
              paddingVertical: 2,
              borderRadius: RADIUS.s,
              backgroundColor: colours.card,
            }}
          >
            <Text as="smallFigures">{measure(course)}</Text>
          </View>
        </View>
        <View style={{ padding: SPACE.m, gap: 2 }}>
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: SPACE.s }}>
            <Text as="heading" numberOfLines={1} style={{ flex: 1 }}>
              {name}
            </Text>
            {finished && <Told icon="check-circle" words="Finished" />}
            {likes > 0 && <Told icon="heart" words={String(likes)} said={`${likes} like it`} />}
          </View>
          <Text as="small" tint="slate" numberOfLines={1}>
            by {maker} · {RUNNER_ROWS[runner].label} · {metres(length)}
          </Text>
          <View style={{ flexDirection: 'row', alignItems: 'center', minHeight: 32 }}>
            <Text as="small" tint="slate" numberOfLines={1} style={{ flex: 1 }}>
              {triesWords(course)}
            </Text>
            {difficulty !== null && <Difficulty small value={difficulty} />}
          </View>
        </View>
      </Pressable>
    </Card>
  );
});

function Told({
  icon,
  words,
  said,
}: {
  icon: 'check-circle' | 'heart';
  words: string;
  said?: string;
}) {
  const colours = useColours();
  return (
    <View
      accessibilityLabel={said ?? words}
      style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}
    >
      <Feather name={icon} size={14} color={colours.moss} />
      <Text as="small" tint="moss">
        {words}
      </Text>
    </View>
  );
}
