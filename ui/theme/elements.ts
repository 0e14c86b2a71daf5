import { createTheme } from '@rneui/themed';
import type { Colours } from './colours';

/** The component library dressed in our colours. */
export const elementsTheme = (colours: Colours, night: boolean) =>
  createTheme({
    mode: night ? 'dark' : 'light',
    lightColors: palette(colours),
    darkColors: palette(colours),
  });

const palette = (c: Colours) => ({
  primary: c.moss,
  background: c.paper,
  white: c.card,
  black: c.ink,
  grey0: c.slate,
  error: c.rust,
  divider: c.line,
});
