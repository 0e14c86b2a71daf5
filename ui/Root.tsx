import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { ThemeProvider, useTheme } from '@rneui/themed';
import { useFonts } from 'expo-font';
import { Stack } from 'expo-router';
import { StatusBar } from 'expo-status-bar';
import { useEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { startOneStops } from './device/oneStop';
import { Guarded } from './Guarded';
import { LoadedDrawing, useScreensSoon } from './loadedScreens';
import { soundPresses } from './music/sounds';
import { Loading, Toasts } from './parts';
import { useAutosave } from './state/saving';
import { useCatchUp } from './state/useCatchUp';
import { useUpdates } from './state/useUpdates';
import { elementsTheme, FONTS, NIGHT, useColours } from './theme';

/** Everything every screen stands in: type, theme, server state, saving, notes. */
export function Root() {
  const [loaded] = useFonts(FONTS);
  const colours = useColours();
  const night = colours === NIGHT;
  const theme = useMemo(() => elementsTheme(colours, night), [colours, night]);
  const [client] = useState(
    // Asked also where the browser knows of no network: what was answered before is at hand then.
    () =>
      new QueryClient({
        defaultOptions: {
          queries: { staleTime: 5_000, retry: 1, networkMode: 'always' },
          mutations: { networkMode: 'always' },
        },
      }),
  );
  return (
    <SafeAreaProvider>
      <QueryClientProvider client={client}>
        <ThemeProvider theme={theme}>
          <Dress theme={theme} />
          <StatusBar style={night ? 'light' : 'dark'} />
          {loaded ? <Screens paper={colours.paper} /> : <Loading what="" />}
          <LoadedDrawing />
          {createPortal(<Toasts />, document.body)}
        </ThemeProvider>
      </QueryClientProvider>
    </SafeAreaProvider>
  );
}

/** Dresses the component library anew when the light changes; the provider reads its theme only once. */
function Dress({ theme }: { theme: ReturnType<typeof elementsTheme> }) {
  const { replaceTheme } = useTheme();
  useEffect(() => {
    replaceTheme(theme);
    // What the browser draws itself, scroll bars first, follows the light as well.
    document.documentElement.style.colorScheme = theme.mode === 'dark' ? 'dark' : 'light';
  }, [replaceTheme, theme]);
  return null;
}

function Screens({ paper }: { paper: string }) {
  useAutosave();
  useCatchUp();
  useUpdates();
  useScreensSoon();
  useEffect(() => soundPresses(), []);
  useEffect(() => startOneStops(), []);
  return (
    <Guarded>
      <Stack
        screenOptions={{
          headerShown: false,
          animation: 'none',
          contentStyle: { backgroundColor: paper },
        }}
      />
    </Guarded>
  );
}
