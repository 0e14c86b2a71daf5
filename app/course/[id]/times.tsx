import { useLocalSearchParams } from 'expo-router';
import { TimesScreen } from '@/ui/course/times/TimesScreen';

export default function CourseTimesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TimesScreen id={id} />;
}
