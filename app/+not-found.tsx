import { router } from 'expo-router';
import { Fault } from '@/ui/parts';
import { COURSES_PAGE } from '@/ui/device/routes';

export default function NotFound() {
  return (
    <Fault
      title="There is nothing at this address"
      words="The link may be cut off."
      action={{ label: 'My courses', act: () => router.replace(COURSES_PAGE) }}
    />
  );
}
