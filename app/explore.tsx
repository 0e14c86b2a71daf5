import { ExploreScreen } from '@/ui/explore/ExploreScreen';

export default function ExploreRoute() {
  return <ExploreScreen />;
}
