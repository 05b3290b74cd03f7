import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useTones } from '@/ui';
import { scaledTo } from './markOutline';
import type { PassWindow } from './passWindow';
import { readStore } from './readStore';

/** The cross at the place that is pointed at; the ruler has ends of its own. */
export function PointedCross({
  shown,
  size,
}: {
  shown: PassWindow;
  size: { width: number; height: number };
}) {
  const tones = useTones();
  const pointed = useStore(readStore, (s) => (s.tool === 'ruler' ? null : s.pointed));
  if (!pointed) return null;
  const { x, y } = scaledTo(shown, size);
  const line = { position: 'absolute' as const, backgroundColor: tones.buoy };
  return (
    <View style={[StyleSheet.absoluteFill, { pointerEvents: 'none' }]}>
      <View style={[line, { left: x(pointed.timeS), top: 0, width: 1, height: size.height }]} />
      <View style={[line, { left: 0, top: y(pointed.rangeM), height: 1, width: size.width }]} />
    </View>
  );
}
