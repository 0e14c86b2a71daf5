import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import type { CourseFound } from '@/core/protocol';
import { Feather, ListItem, Loading, metres, SearchField, Sheet, Text } from '../parts';
import { api } from '../state/api';
import { useColours } from '../theme';
import { KEYS } from '../state/keys';

interface CoursePickerProps {
  readonly open: boolean;
  /** Those that are in it already. */
  readonly without: readonly string[];
  readonly onClose: () => void;
  readonly onPick: (course: CourseFound) => void;
}

/** Published courses, found by words, to be put into a series one after the other. */
export function CoursePicker({ open, without, onClose, onPick }: CoursePickerProps) {
  return (
    <Sheet title="Put a course into it" open={open} onClose={onClose}>
      {open && <Found without={without} onPick={onPick} />}
    </Sheet>
  );
}

function Found({ without, onPick }: Pick<CoursePickerProps, 'without' | 'onPick'>) {
  const colours = useColours();
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const { data, error, isPending } = useQuery({
    queryKey: KEYS.explored({ pick: words }),
    queryFn: ({ signal }) => api.explore({ words }, signal),
    placeholderData: (before) => before,
  });
  const courses = (data?.courses ?? []).filter(({ slug }) => !without.includes(slug));
  return (
    <>
      <SearchField
        name="Find a published course"
        placeholder="Its name or its maker"
        value={typed}
        onChangeText={setTyped}
        testID="pick-words"
      />
      {isPending && <Loading what="Looking for courses" />}
      {error && <Text tint="rust">{error.message}</Text>}
      {data && courses.length === 0 && (
        <Text tint="slate">
          No other published course is called so. Courses are published in their Share.
        </Text>
      )}
      {courses.map((course) => (
        <ListItem key={course.slug} onPress={() => onPick(course)} testID={`pick-${course.slug}`}>
          <View style={{ flex: 1, minWidth: 0 }}>
            <Text numberOfLines={1}>{course.name}</Text>
            <Text as="small" tint="slate" numberOfLines={1}>
              by {course.maker} · {metres(course.length)}
            </Text>
          </View>
          <Feather name="plus" size={20} color={colours.moss} />
        </ListItem>
      ))}
    </>
  );
}
