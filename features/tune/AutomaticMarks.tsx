import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { AutomaticMarks as Marks } from '@/core/bench/automaticMarks';
import { passScreen, passStore } from '@/stores';
import { Text, useTones } from '@/ui';
import { sideWorker } from '@/workers';

/** Rings of a simple rule over the picture, and how often it is wrong: the lesson of automatic marks. */
export function AutomaticMarks({ size }: { size: { width: number; height: number } }) {
  const tones = useTones();
  const { pass, settings, nowS } = useStore(
    passStore,
    useShallow((s) => ({ pass: s.pass, settings: s.settings, nowS: s.nowS })),
  );
  const [marks, setMarks] = useState<Marks | null>(null);
  const screen = passScreen({ pass });
  useEffect(() => {
    let gone = false;
    sideWorker()
      .run(
        { kind: 'automatic-marks', pass, settings, screen: passScreen({ pass }), nowS },
        { lane: 'automatic-marks' },
      )
      .then(
        ({ result }) => !gone && setMarks(result.marks),
        // Superseded by the next, or, without its rings, the lesson still has its words.
        () => undefined,
      );
    return () => {
      gone = true;
    };
  }, [pass, settings, nowS]);
  if (!marks) return null;
  const right = marks.rings.filter((r) => r.right).length;
  return (
    <View style={[StyleSheet.absoluteFill, { pointerEvents: 'none' }]}>
      <Svg width={size.width} height={size.height}>
        {marks.rings.map((ring, i) => (
          <Circle
            key={i}
            cx={((ring.column + 0.5) / screen.columns) * size.width}
            cy={((ring.row + 0.5) / screen.rows) * size.height}
            r={Math.max(6, (ring.radius / screen.columns) * size.width)}
            fill="none"
            stroke={ring.right ? tones.water : tones.buoy}
            strokeWidth={2}
          />
        ))}
      </Svg>
      <View style={[styles.count, { backgroundColor: tones.page }]} role="status" testID="automatic-marks">
        <Text kind="small">
          {right} rings for {marks.fish - marks.missed} fish, {marks.rings.length - right} false rings,{' '}
          {marks.missed} fish missed.
        </Text>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  count: { position: 'absolute', left: 4, top: 4, paddingHorizontal: 6 },
});
