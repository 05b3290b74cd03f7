import { createElement, useEffect, useMemo, type ReactNode } from 'react';
import { useColorScheme, View } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { useStore } from 'zustand';
import { loadedStore, loadStores, preferenceStore, setBegun } from '@/stores';
import { paperTheme, Text, TONES, TonesContext } from '@/ui';
import { watchForUpdates } from './appUpdate';
import { demoAsked, loadDemo } from './demo';
import { Recovery } from './Recovery';

/** The focus in the light's own colour: the browser's white one glares at night. The skip link shows only while it has it. */
const FOCUS = `:focus-visible { outline: 3px solid var(--focus); outline-offset: 1px; }
[role=main]:focus { outline: none; }
.skip { position: absolute; left: -9999px; z-index: 30000; padding: 12px; font: 17px AtkinsonHyperlegible; background: var(--page); color: var(--ink); }
.skip:focus { left: 4px; top: 4px; }`;

/** Theme and what is kept on the device; nothing is shown, and so nothing changed, before it is there. */
export function Providers({ children }: { children: ReactNode }) {
  const loaded = useStore(loadedStore, (s) => s.loaded);
  const theme = useStore(preferenceStore, (s) => s.theme);
  const scheme = useColorScheme();
  useEffect(() => {
    void loadStores().then(loadDemo).then(watchForUpdates);
  }, []);
  useEffect(() => {
    // The demo has its boat.
    if (loaded && demoAsked()) setBegun();
  }, [loaded]);
  const light = theme === 'auto' ? (scheme === 'dark' ? 'dusk' : 'day') : theme;
  const tones = TONES[light];
  useEffect(() => {
    document.body.style.backgroundColor = tones.ground;
    document.querySelector('meta[name="theme-color"]')?.setAttribute('content', tones.ground);
    document.documentElement.style.colorScheme = tones.dark ? 'dark' : 'light';
    const { style } = document.documentElement;
    style.setProperty('--focus', tones.buoy);
    style.setProperty('--page', tones.page);
    style.setProperty('--ink', tones.ink);
  }, [tones]);
  const paper = useMemo(() => paperTheme(tones), [tones]);
  return (
    <SafeAreaProvider>
      <TonesContext.Provider value={tones}>
        <PaperProvider theme={paper}>
          {createElement('style', null, FOCUS)}
          {loaded ? (
            <Recovery of="app">{children}</Recovery>
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
