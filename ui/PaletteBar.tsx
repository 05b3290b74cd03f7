import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { LEGEND_STEPS, paletteColours, type PaletteName } from '@/core/picture';
import { Text } from './Text';
import { useTones } from './theme';

/** Blocks of a step of the legend. */
const A_STEP = 3;
const BLOCKS = A_STEP * LEGEND_STEPS;

/** The legend: weak to strong in numbered steps, always in view. */
export function PaletteBar({ palette, numbered = false }: { palette: PaletteName; numbered?: boolean }) {
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
      <View aria-hidden>
        <View style={[styles.bar, { borderColor: tones.rule }]}>
          {colours.map((c, i) => (
            <View key={i} style={[styles.block, { backgroundColor: `rgb(${c.join(',')})` }]} />
          ))}
        </View>
        {numbered && (
          <View style={styles.numbers}>
            {Array.from({ length: LEGEND_STEPS }, (_, k) => (
              <Text key={k} kind="small" style={styles.number}>
                {k + 1}
              </Text>
            ))}
          </View>
        )}
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
  block: { width: 6, height: 12 },
  numbers: { flexDirection: 'row', paddingHorizontal: 1 },
  number: { width: 6 * A_STEP, textAlign: 'center', fontSize: 12, lineHeight: 13 },
});
