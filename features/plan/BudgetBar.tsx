import { StyleSheet, View } from 'react-native';
import { echoBudgetAt, type Prediction } from '@/core/advice';
import { DETECTION_DB } from '@/core/rig';
import { Text, useTones } from '@/ui';
import { useUnits } from '../units';

/** What an echo starts with and what each part of its way takes, as one bar; what is left is what shows it. */
export function BudgetBar({ prediction, depthM }: { prediction: Prediction; depthM: number }) {
  const tones = useTones();
  const units = useUnits();
  const budget = echoBudgetAt(prediction, depthM);
  const parts = [
    { name: 'way out and back', db: budget.spreadingDb, colour: tones.rule },
    { name: 'lost in the water', db: budget.absorptionDb, colour: tones.waterWash },
    { name: 'the fish gives back little', db: -budget.targetDb, colour: tones.faint },
    { name: 'noise', db: budget.noiseDb, colour: tones.water },
  ];
  const left = Math.round(budget.marginDb);
  const short = left < DETECTION_DB;
  const words = `${prediction.face.label} at ${units.show('depth', depthM, 0)}: of ${Math.round(budget.sourceDb)} dB sent, ${parts.map((p) => `${Math.round(p.db)} ${p.name}`).join(', ')}; ${left} dB are left, ${DETECTION_DB} are needed.`;
  return (
    <View style={styles.budget}>
      <View role="img" aria-label={words} style={[styles.bar, { borderColor: tones.ink }]}>
        {parts.map((p) => (
          <View key={p.name} style={{ flexGrow: Math.max(0, p.db), backgroundColor: p.colour }} />
        ))}
        <View style={{ flexGrow: Math.max(0, budget.marginDb), backgroundColor: tones.buoy }} />
      </View>
      <View style={styles.legend} aria-hidden>
        <Text kind="small">{Math.round(budget.sourceDb)} dB sent:</Text>
        {parts.map((p) => (
          <View key={p.name} style={styles.entry}>
            <View style={[styles.swatch, { backgroundColor: p.colour, borderColor: tones.ink }]} />
            <Text kind="small">
              {Math.round(p.db)} {p.name}
            </Text>
          </View>
        ))}
        <View style={styles.entry}>
          <View style={[styles.swatch, { backgroundColor: tones.buoy, borderColor: tones.ink }]} />
          <Text kind="small" bold>
            {left} left{short ? `, ${DETECTION_DB - left} short of what is needed` : ''}
          </Text>
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  budget: { gap: 6, paddingBottom: 8 },
  bar: { height: 22, flexDirection: 'row', borderWidth: 1 },
  legend: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 14, rowGap: 2 },
  entry: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  swatch: { width: 14, height: 14, borderWidth: 1 },
});
