import { useLocalSearchParams } from 'expo-router';
import { SeriesScreen } from '@/ui/series/SeriesScreen';

export default function SeriesRoute() {
  const { id, change } = useLocalSearchParams<{ id: string; change?: string }>();
  return <SeriesScreen id={id} change={change === 'yes'} />;
}
