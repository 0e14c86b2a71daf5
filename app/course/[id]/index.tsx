import { useLocalSearchParams } from 'expo-router';
import { loadedScreen } from '@/ui/loadedScreens';

const CourseScreen = loadedScreen((screens) => screens.CourseScreen);

export default function CourseRoute() {
  const { id, phase } = useLocalSearchParams<{ id: string; phase?: string }>();
  return <CourseScreen id={id} phase={phase} />;
}
