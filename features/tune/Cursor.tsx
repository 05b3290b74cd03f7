import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { PALETTE_STEPS, type Picture } from '@/core/picture';
import { Text, useTones } from '@/ui';
import { decimal } from '@/ui/decimal';
import { useUnits } from '../units';
import { cursorStore } from './cursorStore';
import { cellOf } from './pictureCells';

/** Strength of an echo out of ten, as a share of the palette. */
const OUT_OF = 10;

/** The cross that stands at the same moment and depth on every picture, with what is there. */
export function Cursor({ picture, size }: { picture: Picture; size: { width: number; height: number } }) {
  const tones = useTones();
  const { show } = useUnits();
  const cursor = useStore(cursorStore, (s) => s.cursor);
  const cell = cursor && cellOf(picture, cursor);
  if (!cursor || !cell) return null;
  const x = ((cell.column + 0.5) / picture.columns) * size.width;
  const y = ((cell.row + 0.5) / picture.rows) * size.height;
  const step = picture.steps[cell.column * picture.rows + cell.row]!;
  const behind = picture.timeS[picture.columns - 1]! - cursor.timeS;
  const words = [
    show('depth', cursor.depthM, 1),
    behind < 0.5 ? 'now' : `${decimal(behind, 0)} s ago`,
    step === 0
      ? 'nothing drawn'
      : `strength ${Math.max(1, Math.round((OUT_OF * step) / PALETTE_STEPS))} of ${OUT_OF}`,
  ].join(' · ');
  const line = { position: 'absolute' as const, backgroundColor: tones.buoy };
  return (
    <View style={[StyleSheet.absoluteFill, { pointerEvents: 'none' }]}>
      <View style={[line, { left: x, top: 0, width: 1, height: size.height }]} />
      <View style={[line, { left: 0, top: y, height: 1, width: size.width }]} />
      <View style={[styles.words, { backgroundColor: tones.page }]} role="status" testID="cursor-words">
        <Text kind="small">{words}</Text>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ words: { position: 'absolute', left: 4, top: 40, paddingHorizontal: 6 } });
