import { lazy, Suspense, type ComponentType } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from '@/ui';
import { PieceMissing } from './PieceMissing';

const waiting: (() => Promise<unknown>)[] = [];
let first = true;
/** The first screen has this long to itself, ms. */
const SETTLE_MS = 1500;

/** Loads the screens not yet opened, one by one, whenever the page has nothing else to do. */
function loadOtherScreens(): void {
  const next = waiting.shift();
  // Safari has no idle callbacks.
  const idle = window.requestIdleCallback ?? ((then: () => void) => setTimeout(then, 200));
  if (next)
    idle(() => {
      // One that is not there is said when it is opened.
      void next()
        .catch(() => undefined)
        .then(loadOtherScreens);
    });
}

/** A screen loaded when it is first opened; where it cannot be, the network is gone or the server has a newer version. */
export function lazyScreen(load: () => Promise<ComponentType>): ComponentType {
  waiting.push(load);
  const Screen = lazy(async () => {
    try {
      const screen = await load();
      if (first) setTimeout(loadOtherScreens, SETTLE_MS);
      first = false;
      return { default: screen };
    } catch (error) {
      console.warn(error);
      return { default: PieceMissing };
    }
  });
  return function LazyScreen() {
    return (
      <Suspense
        fallback={
          <View style={styles.waiting}>
            <Text faint>Opening…</Text>
          </View>
        }
      >
        <Screen />
      </Suspense>
    );
  };
}

const styles = StyleSheet.create({ waiting: { padding: 24 } });
