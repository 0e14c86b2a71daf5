import { useColorScheme } from 'react-native';
import { useSettings } from '../device/settings';
import { DAY, NIGHT, type Colours } from './colours';

/** The colours of the hour: as chosen, or as the device is set. */
export function useColours(): Colours {
  const device = useColorScheme();
  const chosen = useSettings((s) => s.light);
  return (chosen === 'device' ? device : chosen) === 'night' ||
    (chosen === 'device' && device === 'dark')
    ? NIGHT
    : DAY;
}
