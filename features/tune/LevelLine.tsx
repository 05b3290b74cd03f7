import { View } from 'react-native';
import { useStore } from 'zustand';
import type { Picture } from '@/core/picture';
import { passStore } from '@/stores';
import { useTones } from '@/ui';

/** A line across the picture at the depth the user laid it. */
export function LevelLine({ picture, size }: { picture: Picture; size: { width: number; height: number } }) {
  const tones = useTones();
  const depthM = useStore(passStore, (s) => s.settings.levelLineM);
  // In a window locked to the bed a depth has no one height.
  const locked = useStore(passStore, (s) => s.settings.bedLockM !== null);
  if (depthM === null || locked) return null;
  const top = ((depthM - picture.topM.at(-1)!) / (picture.rowM * picture.rows)) * size.height;
  if (!(top >= 0 && top < size.height)) return null;
  return (
    <View
      testID="level-line"
      style={{
        position: 'absolute',
        left: 0,
        top,
        width: size.width,
        borderTopWidth: 2,
        borderTopColor: tones.water,
        borderStyle: 'dashed',
        pointerEvents: 'none',
      }}
    />
  );
}
