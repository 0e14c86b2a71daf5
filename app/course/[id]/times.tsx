import { useLocalSearchParams } from 'expo-router';
import { loadedScreen } from '@/ui/loadedScreens';

const TimesScreen = loadedScreen((screens) => screens.TimesScreen);

export default function CourseTimesRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TimesScreen id={id} />;
}
