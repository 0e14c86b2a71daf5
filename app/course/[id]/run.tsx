import { useLocalSearchParams } from 'expo-router';
import { CourseRunScreen } from '@/ui/course/screen/RunScreen';

export default function CourseRunRoute() {
  const { id, from } = useLocalSearchParams<{ id: string; from?: string }>();
  return <CourseRunScreen id={id} from={from} />;
}
