import { useLocalSearchParams } from 'expo-router';
import { MakerScreen } from '@/ui/maker/MakerScreen';

export default function MakerRoute() {
  const { name } = useLocalSearchParams<{ name: string }>();
  return <MakerScreen name={name} />;
}
