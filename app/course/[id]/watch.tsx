import { useLocalSearchParams } from 'expo-router';
import { loadedScreen } from '@/ui/loadedScreens';

const WatchScreen = loadedScreen((screens) => screens.WatchScreen);

export default function CourseWatchRoute() {
  const { id, run, at } = useLocalSearchParams<{ id: string; run?: string; at?: string }>();
  const seconds = Number(at);
  return <WatchScreen id={id} run={run ?? 'best'} at={Number.isFinite(seconds) ? seconds : 0} />;
}
