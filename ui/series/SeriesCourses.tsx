import { router } from 'expo-router';
import { View } from 'react-native';
import type { SeriesCourseTold } from '@/core/protocol';
import { DrawnPicture, ListItem, metres, runTime, Text } from '../parts';
import { pictureOf } from '../state/api';
import { RADIUS, SPACE, useColours } from '../theme';
import { totalOf } from './totals';
import { playPage } from '../device/routes';

/** The courses of a series in their order, with the best time on each, one's own, and what they come to. */
export function SeriesCourses({ courses }: { readonly courses: readonly SeriesCourseTold[] }) {
  if (courses.length === 0) return null;
  return (
    <View testID="series-courses">
      {courses.map((course, i) => (
        <CourseLine key={course.slug} course={course} place={i + 1} />
      ))}
      <Total best={totalOf(courses, 'best')} own={totalOf(courses, 'own')} />
    </View>
  );
}

const none = '–';
const timeOr = (seconds: number | null): string => (seconds === null ? none : runTime(seconds));

function CourseLine({ course, place }: { course: SeriesCourseTold; place: number }) {
  const colours = useColours();
  const { slug, name, maker, length, best, own, shown } = course;
  return (
    <ListItem
      onPress={() => router.push(playPage(slug))}
      disabled={!shown}
      testID={`series-course-${place}`}
    >
      <Text as="figures" tint="slate" style={{ width: 24, textAlign: 'right' }}>
        {place}
      </Text>
      <View
        style={{
          width: 84,
          marginVertical: SPACE.s,
          borderRadius: RADIUS.s,
          overflow: 'hidden',
          backgroundColor: colours.shallows,
        }}
      >
        <DrawnPicture uri={pictureOf.published(course)} of={name} />
      </View>
      <View style={{ flex: 1, minWidth: 0 }}>
        <Text as="strong" numberOfLines={1}>
          {name}
        </Text>
        <Text as="small" tint={shown ? 'slate' : 'rust'} numberOfLines={1}>
          {shown ? `${metres(length)} · by ${maker}` : 'Taken down: nobody sees it here'}
        </Text>
      </View>
      <Times best={best} own={own} />
    </ListItem>
  );
}

/** The best time, and one's own under it. */
function Times({ best, own }: { best: number | null; own: number | null }) {
  return (
    <View style={{ alignItems: 'flex-end', minWidth: 84 }}>
      <Text as="figures" accessibilityLabel={`Best time ${timeOr(best)}`}>
        {timeOr(best)}
      </Text>
      <Text
        as="smallFigures"
        tint={own !== null && own === best ? 'moss' : 'slate'}
        accessibilityLabel={`Your best ${timeOr(own)}`}
      >
        {own === null ? 'not yet' : `you ${runTime(own)}`}
      </Text>
    </View>
  );
}

function Total({ best, own }: { best: number | null; own: number | null }) {
  const colours = useColours();
  return (
    <View
      testID="series-total"
      style={{
        flexDirection: 'row',
        justifyContent: 'space-between',
        alignItems: 'center',
        borderTopWidth: 2,
        borderColor: colours.line,
        paddingTop: SPACE.s,
      }}
    >
      <Text as="strong">Best times together</Text>
      <View style={{ alignItems: 'flex-end' }}>
        <Text as="figures">{timeOr(best)}</Text>
        <Text as="smallFigures" tint="slate">
          {own === null ? 'you: not all yet' : `you ${runTime(own)}`}
        </Text>
      </View>
    </View>
  );
}
