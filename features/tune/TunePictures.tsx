import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { passStore } from '@/stores';
import { useWide } from '@/ui';
import { TunePicture } from './TunePicture';
import { useShownPictures } from './useShownPictures';

/** The pictures of the bench: one, or two over the same water, over each other on a phone and side by side when wide. */
export function TunePictures() {
  const wide = useWide();
  const { pictures, other } = useShownPictures();
  const { faceId, palette } = useStore(passStore, (s) => s.settings);
  const otherFirst = useStore(passStore, (s) => s.otherFirst);
  const two = pictures === 'two' && other !== null;
  const chosen = (
    <TunePicture key="chosen" view="tune" faceId={faceId} palette={palette} chosen={two || null} />
  );
  if (!two) return chosen;
  const second = (
    <TunePicture
      key="other"
      view="tune-second"
      faceId={other.faceId}
      palette={other.palette}
      chosen={false}
    />
  );
  return (
    <View style={[styles.two, wide && styles.beside]}>
      {otherFirst ? [second, chosen] : [chosen, second]}
    </View>
  );
}

const styles = StyleSheet.create({
  two: { flex: 1, minHeight: 0, gap: 4 },
  beside: { flexDirection: 'row' },
});
