import { useLocalSearchParams } from 'expo-router';
import { PlayRunScreen } from '@/ui/play/PlayRunScreen';

export default function PlayRunRoute() {
  const { slug } = useLocalSearchParams<{ slug: string }>();
  return <PlayRunScreen slug={slug} />;
}
