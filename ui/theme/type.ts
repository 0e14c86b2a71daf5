import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { BricolageGrotesque_700Bold } from '@expo-google-fonts/bricolage-grotesque/700Bold';
import { JetBrainsMono_500Medium } from '@expo-google-fonts/jetbrains-mono/500Medium';
import { JetBrainsMono_700Bold } from '@expo-google-fonts/jetbrains-mono/700Bold';

/** The faces the application ships, by the names they are used under. */
export const FONTS = {
  Title: BricolageGrotesque_700Bold,
  Text: AtkinsonHyperlegibleNext_400Regular,
  TextStrong: AtkinsonHyperlegibleNext_600SemiBold,
  Figures: JetBrainsMono_500Medium,
};

/** Those that only runs show, loaded with the first of them. */
export const RUN_FONTS = { FiguresStrong: JetBrainsMono_700Bold };

/** Styles of type; sizes in points. */
export const TYPE = {
  title: { fontFamily: 'Title', fontSize: 24, lineHeight: 30 },
  heading: { fontFamily: 'Title', fontSize: 18, lineHeight: 24 },
  text: { fontFamily: 'Text', fontSize: 16, lineHeight: 22 },
  strong: { fontFamily: 'TextStrong', fontSize: 16, lineHeight: 22 },
  small: { fontFamily: 'Text', fontSize: 14, lineHeight: 19 },
  smallStrong: { fontFamily: 'TextStrong', fontSize: 14, lineHeight: 19 },
  figures: { fontFamily: 'Figures', fontSize: 15, lineHeight: 20 },
  smallFigures: { fontFamily: 'Figures', fontSize: 13, lineHeight: 18 },
  clock: { fontFamily: 'FiguresStrong', fontSize: 38, lineHeight: 44 },
} as const;

export type TypeStyle = keyof typeof TYPE;
