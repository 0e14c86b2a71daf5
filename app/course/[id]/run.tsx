import { useLocalSearchParams } from 'expo-router';
import { loadedScreen } from '@/ui/loadedScreens';

const CourseRunScreen = loadedScreen((screens) => screens.CourseRunScreen);

export default function CourseRunRoute() {
  const { id, from } = useLocalSearchParams<{ id: string; from?: string }>();
  return <CourseRunScreen id={id} from={from} />;
}
