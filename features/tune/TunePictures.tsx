import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { passStore } from '@/stores';
import { useWide } from '@/ui';
import { TunePicture } from './TunePicture';
import { useShownPictures } from './useShownPictures';

/**
 * The pictures of the bench: one, or two over the same water, over each other on a phone and side by side when wide: two beams, or
 * two ways to set one.
 */
export function TunePictures() {
  const wide = useWide();
  const { pictures, other, wiped } = useShownPictures();
  const { faceId, palette } = useStore(
    passStore,
    useShallow(({ settings }) => ({ faceId: settings.faceId, palette: settings.palette })),
  );
  const otherFirst = useStore(passStore, (s) => s.otherFirst);
  const bank = useStore(passStore, (s) => s.compared?.shown ?? null);
  const two = pictures === 'two' && other !== null;
  const comparing = bank !== null && two;
  const [way, otherWay] = bank === 'b' ? ['B', 'A'] : ['A', 'B'];
  const chosen = (
    <TunePicture
      key="chosen"
      view="tune"
      faceId={faceId}
      palette={palette}
      chosen={two || null}
      way={comparing ? (wiped ? `${way} | ${otherWay}` : way) : null}
      wiped={wiped}
    />
  );
  if (!two || wiped) return chosen;
  const second = (
    <TunePicture
      key="other"
      view="tune-second"
      faceId={other.faceId}
      palette={other.palette}
      chosen={false}
      way={comparing ? otherWay : null}
      wiped={false}
    />
  );
  const otherLeft = comparing ? bank === 'b' : otherFirst;
  return (
    <View style={[styles.two, wide && styles.beside]}>{otherLeft ? [second, chosen] : [chosen, second]}</View>
  );
}

const styles = StyleSheet.create({
  two: { flex: 1, minHeight: 0, gap: 4 },
  beside: { flexDirection: 'row' },
});
