import MaterialCommunityIcons from '@expo/vector-icons/MaterialCommunityIcons';
import AtkinsonBold from '@expo-google-fonts/atkinson-hyperlegible/700Bold/AtkinsonHyperlegible_700Bold.ttf';
import Atkinson from '@expo-google-fonts/atkinson-hyperlegible/400Regular/AtkinsonHyperlegible_400Regular.ttf';
import AtkinsonMono from '@expo-google-fonts/atkinson-hyperlegible-mono/400Regular/AtkinsonHyperlegibleMono_400Regular.ttf';
import { useFonts } from 'expo-font';
import { useEffect, useMemo, type ReactNode } from 'react';
import { useColorScheme, View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { useStore } from 'zustand';
import { loadedStore, loadStores, preferenceStore } from '@/stores';
import { FONT, paperTheme, Text, TONES, TonesContext } from '@/ui';
import { loadDemo } from './demo';

/** Fonts, theme and what is kept on the device; nothing is shown, and so nothing changed, before all are there. */
export function Providers({ children }: { children: ReactNode }) {
  const [fontsReady, fontProblem] = useFonts({
    [FONT.text]: Atkinson,
    [FONT.bold]: AtkinsonBold,
    [FONT.figures]: AtkinsonMono,
    ...MaterialCommunityIcons.font,
  });
  const loaded = useStore(loadedStore, (s) => s.loaded);
  const theme = useStore(preferenceStore, (s) => s.theme);
  const scheme = useColorScheme();
  useEffect(() => {
    void loadStores().then(loadDemo);
  }, []);
  const light = theme === 'auto' ? (scheme === 'dark' ? 'dusk' : 'day') : theme;
  const tones = TONES[light];
  useEffect(() => {
    document.body.style.backgroundColor = tones.ground;
    document.querySelector('meta[name="theme-color"]')?.setAttribute('content', tones.ground);
    document.documentElement.style.colorScheme = tones.dark ? 'dark' : 'light';
  }, [tones]);
  const paper = useMemo(() => paperTheme(tones), [tones]);
  // A font that fails to load leaves the browser's own, which is no reason to show nothing.
  const ready = loaded && (fontsReady || fontProblem !== null);
  return (
    <SafeAreaProvider>
      <TonesContext.Provider value={tones}>
        <PaperProvider theme={paper}>
          {ready ? (
            children
          ) : (
            <View style={{ flex: 1, padding: 24, backgroundColor: tones.ground }}>
              <Text>Opening your notebook…</Text>
            </View>
          )}
        </PaperProvider>
      </TonesContext.Provider>
    </SafeAreaProvider>
  );
}
