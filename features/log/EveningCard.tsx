import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { faceOf, type Face } from '@/core/rig';
import { briefWithChanges, type EveningCard as Card } from '@/core/logbook/eveningCard';
import { measure } from '@/core/units';
import { openUnitOf, planStore, takeEvening } from '@/stores';
import { BigButton, Chips, NumberField, Text, useTones } from '@/ui';
import { useOwnUnit } from '../plan/usePlan';
import { useUnits } from '../units';
import { useLogAnswer } from '../useLogAnswer';
import { briefWords } from '../words/brief';
import { cardLines } from '../words/logAnswers';

/** Water this much lower or higher is asked no further, m. */
const MOST_LEVEL_M = 20;

/** What may have changed since: asked, with the last day's numbers in it. */
function Changed({ card }: { card: Card }) {
  const units = useUnits();
  const router = useRouter();
  const brief = card.brief.value;
  const [temperatureC, setTemperatureC] = useState(card.temperatureC?.value ?? brief.temperatureC);
  const [thermoclineM, setThermoclineM] = useState(brief.thermoclineM);
  const [levelM, setLevelM] = useState(0);
  const depth = measure(units.system, 'depth');
  const warmth = measure(units.system, 'temperature');
  return (
    <>
      <View style={styles.fields}>
        <NumberField
          label="Water now"
          unit={warmth.unit}
          value={Number(warmth.fromSi(temperatureC).toFixed(1))}
          low={warmth.fromSi(0)}
          high={warmth.fromSi(35)}
          onChange={(x) => setTemperatureC(warmth.toSi(x))}
          testID="evening-temperature"
        />
        {brief.thermoclineM !== null && (
          <NumberField
            label="Layer now at"
            unit={depth.unit}
            value={Number(depth.fromSi(thermoclineM ?? brief.thermoclineM).toFixed(1))}
            low={depth.fromSi(1)}
            high={depth.fromSi(100)}
            onChange={(x) => setThermoclineM(depth.toSi(x))}
            testID="evening-layer"
          />
        )}
        <NumberField
          label="Level: higher by"
          unit={depth.unit}
          value={Number(depth.fromSi(levelM).toFixed(1))}
          low={-depth.fromSi(MOST_LEVEL_M)}
          high={depth.fromSi(MOST_LEVEL_M)}
          onChange={(x) => setLevelM(depth.toSi(x))}
          testID="evening-level"
        />
      </View>
      <BigButton
        tone="main"
        label="Plan with this"
        onPress={() => {
          takeEvening(
            briefWithChanges(brief, { temperatureC, thermoclineM, levelM }),
            card.held.map((h) => h.value),
            card.waterName,
          );
          router.push('/plan');
        }}
        testID="take-evening"
      />
    </>
  );
}

/** Tomorrow on a known water, filled in from the days there; each line says from which. */
export function EveningCard() {
  const tones = useTones();
  const units = useUnits();
  const own = useOwnUnit();
  const unitId = useStore(planStore, (s) => openUnitOf(s).id);
  const rig = useStore(planStore, (s) => s.rig);
  const [chosen, setChosen] = useState<string | null>(null);
  const { answer } = useLogAnswer({ of: 'evening', waterName: chosen, unitId });
  if (!answer?.card) return null;
  const { waters, card } = answer;
  const water = card.waterName;
  const brief = card.brief.value;
  const face: Face | undefined =
    brief.faceId !== null && rig.faces.some((f) => f.id === brief.faceId)
      ? faceOf(rig, brief.faceId)
      : undefined;
  const words = briefWords(brief, units, face);
  return (
    <View style={[styles.card, { borderColor: tones.rule }]} testID="evening">
      <Text kind="heading">Tomorrow on {water}</Text>
      {waters.length > 1 && (
        <Chips
          label="Water"
          value={water}
          options={waters.map((name) => ({ value: name, label: name }))}
          onChange={setChosen}
        />
      )}
      <View role="list" aria-label="From your days there">
        {cardLines(card, units, own, `${words.species}, ${words.depth}`).map(([line, day]) => (
          <View
            key={line}
            role="listitem"
            style={[styles.line, { borderTopColor: tones.rule }]}
            testID="evening-line"
          >
            <Text style={styles.words}>{line}</Text>
            <Text faint kind="small">
              {day}
            </Text>
          </View>
        ))}
      </View>
      <Text bold>What has changed since?</Text>
      <Changed key={water} card={card} />
    </View>
  );
}

const styles = StyleSheet.create({
  card: { gap: 10, borderWidth: 1, borderRadius: 4, padding: 14, maxWidth: 720 },
  line: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    columnGap: 12,
    borderTopWidth: 1,
    paddingVertical: 8,
    alignItems: 'baseline',
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 220 },
  fields: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
