import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import type { Picture } from '@/core/picture';
import { useTones } from '@/ui';
import { cursorStore } from './cursorStore';
import { cellOf } from './pictureCells';

/** The cross that stands at the same moment and depth on every picture. */
export function Cursor({ picture, size }: { picture: Picture; size: { width: number; height: number } }) {
  const tones = useTones();
  const cursor = useStore(cursorStore, (s) => s.cursor);
  const cell = cursor && cellOf(picture, cursor);
  if (!cell) return null;
  const x = ((cell.column + 0.5) / picture.columns) * size.width;
  const y = ((cell.row + 0.5) / picture.rows) * size.height;
  const line = { position: 'absolute' as const, backgroundColor: tones.buoy };
  return (
    <View style={[StyleSheet.absoluteFill, { pointerEvents: 'none' }]}>
      <View style={[line, { left: x, top: 0, width: 1, height: size.height }]} />
      <View style={[line, { left: 0, top: y, height: 1, width: size.width }]} />
    </View>
  );
}
