import { Pressable, View } from 'react-native';
import { create } from 'zustand';
import { RADIUS, SPACE, TARGET, useColours } from '../theme';
import { Text } from './Text';

interface Shown {
  readonly words: string;
  readonly action?: { readonly label: string; readonly act: () => void };
}

const useNotes = create<{ shown: Shown | null }>()(() => ({ shown: null }));
let timer: ReturnType<typeof setTimeout> | undefined;

/**
 * Says something for some seconds, with one thing to do about it.
 * @returns a function that takes it away before that, unless something else is said by then
 */
export function showToast(words: string, action?: Shown['action']): () => void {
  clearTimeout(timer);
  const shown: Shown = { words, action };
  useNotes.setState({ shown });
  timer = setTimeout(dismiss, action ? 8000 : 4000);
  return () => {
    if (useNotes.getState().shown === shown) dismiss();
  };
}

/** Says something until something is done about it, or something else is said. */
export function askToast(words: string, action: NonNullable<Shown['action']>): void {
  clearTimeout(timer);
  useNotes.setState({ shown: { words, action } });
}

/** Sheets are at 9999. */
const OVER_SHEETS = 10_000;

const dismiss = () => useNotes.setState({ shown: null });

/** Where notes appear; stands once, above everything, sheets included. */
export function Toasts() {
  const colours = useColours();
  const shown = useNotes((s) => s.shown);
  if (!shown) return null;
  return (
    <View
      pointerEvents="box-none"
      style={{
        position: 'absolute',
        zIndex: OVER_SHEETS,
        left: 0,
        right: 0,
        top: 84,
        alignItems: 'center',
        paddingHorizontal: SPACE.m,
      }}
    >
      <View
        accessibilityRole="alert"
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          maxWidth: 460,
          minHeight: TARGET,
          paddingLeft: SPACE.l,
          paddingRight: shown.action ? SPACE.xs : SPACE.l,
          borderRadius: RADIUS.m,
          backgroundColor: colours.ink,
        }}
      >
        <Text as="small" tint="card" style={{ flexShrink: 1, paddingVertical: SPACE.s }}>
          {shown.words}
        </Text>
        {shown.action && (
          <Pressable
            accessibilityRole="button"
            accessibilityLabel={shown.action.label}
            onPress={() => {
              dismiss();
              shown.action!.act();
            }}
            style={{ minHeight: TARGET, justifyContent: 'center', paddingHorizontal: SPACE.m }}
          >
            <Text as="smallStrong" tint="card" style={{ textDecorationLine: 'underline' }}>
              {shown.action.label}
            </Text>
          </Pressable>
        )}
      </View>
    </View>
  );
}
