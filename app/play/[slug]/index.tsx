import { useLocalSearchParams } from 'expo-router';
import { PlayScreen } from '@/ui/play/PlayScreen';

export default function PlayRoute() {
  const { slug } = useLocalSearchParams<{ slug: string }>();
  return <PlayScreen slug={slug} />;
}
