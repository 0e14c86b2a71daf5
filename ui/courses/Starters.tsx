import { router } from 'expo-router';
import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { copyOf, KIND_WORDS, type Course } from '@/core/course';
import { Button, Card, DrawnPicture, Fault, metres, showToast, Text } from '../parts';
import { api, pictureOf } from '../state/api';
import { useDemos } from '../state/queries';
import { SPACE, useColours, WIDE } from '../theme';
import { playPage } from '../device/routes';

interface StartersProps {
  readonly onCopy: (course: Course) => void;
  readonly busy: boolean;
  /** Whether there is nothing else on the page yet. */
  readonly prominent: boolean;
}

/** The courses of Lantern Week, to run as they are or to take apart. */
export function Starters({ onCopy, busy, prominent }: StartersProps) {
  const colours = useColours();
  const { width } = useWindowDimensions();
  const { data, error, refetch } = useDemos();
  const [taking, setTaking] = useState<string | null>(null);
  const take = (slug: string) => {
    setTaking(slug);
    api
      .published(slug)
      .then(({ course, maker }) => onCopy(copyOf(course, { name: course.name, maker, slug })))
      .catch((error: Error) => showToast(error.message))
      .finally(() => setTaking(null));
  };
  if (error && !data) {
    return (
      <Fault
        title="The courses of Lantern Week cannot be shown"
        words={error.message}
        action={{ label: 'Try again', act: () => void refetch() }}
      />
    );
  }
  if (!data || data.length === 0) return null;
  const columns = width >= WIDE ? 3 : width >= 640 ? 2 : 1;
  return (
    <View style={{ gap: SPACE.m, marginTop: prominent ? 0 : SPACE.l }}>
      <View>
        <Text as="heading">Lantern Week</Text>
        <Text as="small" tint="slate">
          Courses from Hollin Skerry, to run or to take apart.
        </Text>
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.l }}>
        {data.map(({ slug, look, name, maker, kind, length }) => (
          <Card
            key={slug}
            style={{ width: `${(100 - (columns - 1) * 1.6) / columns}%`, overflow: 'hidden' }}
          >
            <View style={{ backgroundColor: colours.shallows }}>
              <DrawnPicture uri={pictureOf.published({ slug, look })} of={name} />
            </View>
            <View style={{ padding: SPACE.m, gap: SPACE.s }}>
              <View>
                <Text as="heading">{name}</Text>
                <Text as="small" tint="slate">
                  by {maker} · {KIND_WORDS[kind]} · {metres(length)}
                </Text>
              </View>
              <View style={{ flexDirection: 'row', gap: SPACE.s }}>
                <Button
                  kind="main"
                  title="Run"
                  icon="play"
                  onPress={() => router.push(playPage(slug))}
                  style={{ flex: 1 }}
                  testID={`demo-run-${slug}`}
                />
                <Button
                  title="Take apart"
                  busy={busy || taking === slug}
                  onPress={() => take(slug)}
                  style={{ flex: 1.2 }}
                  testID={`demo-copy-${slug}`}
                />
              </View>
            </View>
          </Card>
        ))}
      </View>
    </View>
  );
}
