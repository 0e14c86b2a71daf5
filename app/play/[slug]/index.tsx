import { useLocalSearchParams } from 'expo-router';
import { PlayScreen } from '@/ui/play/PlayScreen';

export default function PlayRoute() {
  const { slug, edition } = useLocalSearchParams<{ slug: string; edition?: string }>();
  return <PlayScreen slug={slug} edition={Number(edition) || undefined} />;
}
