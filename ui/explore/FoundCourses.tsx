import { View } from 'react-native';
import type { CourseFound, ExploreAsked } from '@/core/protocol';
import { Button, Fault, Loading, Text } from '../parts';
import { SPACE } from '../theme';
import { ExploreCard } from './ExploreCard';
import { useExplore } from './useExplore';

interface FoundCoursesProps {
  readonly asked: ExploreAsked;
  readonly columns: number;
  /** What is said where nothing is found. */
  readonly none: string;
}

/** The published courses that are asked for, and more of them at a press. */
export function FoundCourses({ asked, columns, none }: FoundCoursesProps) {
  const found = useExplore(asked);
  if (found.isError && !found.data) {
    return (
      <Fault
        title="The courses cannot be listed"
        words={found.error.message}
        action={{ label: 'Try again', act: () => void found.refetch() }}
      />
    );
  }
  if (!found.data) return <Loading what="Looking for courses" />;
  const courses: readonly CourseFound[] = found.data.pages.flatMap((page) => page.courses);
  return (
    <>
      {courses.length === 0 && <Text tint="slate">{none}</Text>}
      <View
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.l }}
        aria-busy={found.isPlaceholderData}
        testID="explore-found"
      >
        {courses.map((course) => (
          <ExploreCard
            key={course.slug}
            course={course}
            width={`${(100 - (columns - 1) * 2.4) / columns}%`}
          />
        ))}
      </View>
      {found.isError && <Text tint="rust">{found.error.message}</Text>}
      {found.hasNextPage && (
        <Button
          title="Show more"
          busy={found.isFetchingNextPage}
          onPress={() => void found.fetchNextPage()}
          testID="explore-more"
        />
      )}
    </>
  );
}
