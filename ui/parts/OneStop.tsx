import { View, type ViewProps } from 'react-native';
import { ONE_STOP } from '../device/oneStop';

interface OneStopProps extends ViewProps {
  /** A row of tabs, answers of which one is chosen, or other buttons. */
  readonly as: 'tablist' | 'radiogroup' | 'toolbar';
  /** What the buttons are of. */
  readonly name?: string;
}

/** Buttons that belong together: Tab comes to the one that is on, arrow keys go to the others. */
export const OneStop = ({ as, name, ...rest }: OneStopProps) => (
  <View accessibilityRole={as} accessibilityLabel={name} {...ONE_STOP} {...rest} />
);
