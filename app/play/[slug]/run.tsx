import { useLocalSearchParams } from 'expo-router';
import { loadedScreen } from '@/ui/loadedScreens';

const PlayRunScreen = loadedScreen((screens) => screens.PlayRunScreen);

export default function PlayRunRoute() {
  const { slug, series } = useLocalSearchParams<{ slug: string; series?: string }>();
  // The next course of a series is another run.
  return <PlayRunScreen key={slug} slug={slug} series={series} />;
}
