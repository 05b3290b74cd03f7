import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { freshness, type Quantity } from '@/core/feed';
import type { MeasureName } from '@/core/units';
import { feedStore } from '@/stores';
import { Text, useTones } from '@/ui';
import { useUnits } from '../units';

const SHOWN: readonly [quantity: Quantity, name: string, measure: MeasureName][] = [
  ['depthM', 'Depth', 'depth'],
  ['speedMps', 'Speed', 'speed'],
  ['temperatureC', 'Water', 'temperature'],
];

/** Depth, speed and water temperature while a feed is on: old values say so, gone ones are not shown. */
export function LiveStrip() {
  const tones = useTones();
  const { show } = useUnits();
  const { source, feed, nowS } = useStore(
    feedStore,
    useShallow((s) => ({ source: s.source, feed: s.feed, nowS: s.nowS })),
  );
  if (source === 'off') return null;
  return (
    <View
      style={[styles.strip, { borderBottomColor: tones.rule, backgroundColor: tones.page }]}
      role="group"
      aria-label="Live data"
      testID="live-strip"
    >
      {SHOWN.map(([quantity, name, measure]) => {
        const value = feed.values[quantity];
        const state = freshness(value, nowS);
        const text = state === 'gone' ? '–' : show(measure, value!.value, 1);
        const age = state === 'stale' ? `, ${Math.round(nowS - value!.atS)} s old` : '';
        return (
          <View
            key={quantity}
            style={styles.one}
            aria-label={`${name}: ${state === 'gone' ? 'not known' : text}${age}`}
          >
            <Text
              bold
              style={[styles.value, state === 'stale' && { color: tones.danger }]}
              testID={`live-${quantity}`}
            >
              {text}
            </Text>
            {age !== '' && (
              <Text kind="small" style={{ color: tones.danger }}>
                {Math.round(nowS - value!.atS)} s old
              </Text>
            )}
          </View>
        );
      })}
      {source === 'simulated' && <Text style={styles.word}>simulated</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  strip: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingHorizontal: 12,
    minHeight: 40,
    borderBottomWidth: 1,
    gap: 8,
  },
  one: { flexDirection: 'row', alignItems: 'baseline', gap: 6 },
  value: { fontSize: 24, lineHeight: 32 },
  word: { fontSize: 15, lineHeight: 20 },
});
