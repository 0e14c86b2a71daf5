import { useLocalSearchParams } from 'expo-router';
import { CourseScreen } from '@/ui/course/screen/CourseScreen';

export default function CourseRoute() {
  const { id, phase } = useLocalSearchParams<{ id: string; phase?: string }>();
  return <CourseScreen id={id} phase={phase} />;
}
