import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { paletteColours, type PaletteName } from '@/core/picture';
import { Text } from './Text';
import { useTones } from './theme';

const BLOCKS = 24;

/** The legend: weak to strong, always in view. */
export function PaletteBar({ palette }: { palette: PaletteName }) {
  const tones = useTones();
  const colours = useMemo(() => {
    const { steps } = paletteColours(palette);
    return Array.from(
      { length: BLOCKS },
      (_, i) => steps[Math.round((i / (BLOCKS - 1)) * (steps.length - 1))]!,
    );
  }, [palette]);
  return (
    <View style={styles.row} role="img" aria-label="Colours run from weak to strong echoes">
      <Text kind="small" aria-hidden>
        weak
      </Text>
      <View style={[styles.bar, { borderColor: tones.rule }]}>
        {colours.map((c, i) => (
          <View key={i} style={[styles.block, { backgroundColor: `rgb(${c.join(',')})` }]} />
        ))}
      </View>
      <Text kind="small" aria-hidden>
        strong
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  bar: { flexDirection: 'row', borderWidth: 1 },
  block: { width: 4, height: 14 },
});
