import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { expectationOf } from '@/core/advice';
import { writePlanFile } from '@/core/formats';
import { planStore, presentPlan } from '@/stores';
import { Button, saveFile, Text, TONES } from '@/ui';
import { Paper } from '../paper';
import { useUnits } from '../units';
import { useOwnUnit, usePlan } from './usePlan';
import { controlName } from '../words/controls';
import { briefWords, PHASE_WORDS } from '../words/brief';
import { expectationWords } from '../words/expectation';
import { lineReason } from '../words/reasons';
import { lineValue } from '../words/setupValues';

/** The setup on one page, for paper or for a picture. */
export function SheetScreen() {
  const brief = useStore(planStore, (s) => s.brief);
  const { phase, rig, setup, slice } = usePlan();
  const own = useOwnUnit();
  const units = useUnits();
  const router = useRouter();
  const words = briefWords(
    phase.brief,
    units,
    rig.faces.find((f) => f.id === brief.faceId),
  );
  const title = `${PHASE_WORDS[phase.presentation]}, ${words.species}, ${words.depth}`;
  const expected = expectationWords(
    phase.brief,
    expectationOf(phase.brief, rig, setup.prediction, setup.settings),
    setup,
    units,
  );
  return (
    <Paper
      pictureName="setup.png"
      actions={
        <>
          <Button
            label="Save as a file"
            onPress={() =>
              saveFile('plan.json', writePlanFile(presentPlan(title.slice(0, 60))), 'application/json')
            }
            testID="save-json"
          />
          <Button tone="quiet" label="Back to the plan" onPress={() => router.push('/plan')} />
        </>
      }
    >
      <Text kind="title">{title}</Text>
      <Text>
        {words.water}, {words.presentation}. {rig.name}.
      </Text>
      {setup.lines.map((line) => (
        <View key={line.control} style={[styles.line, { borderTopColor: TONES.day.rule }]}>
          <View style={styles.head}>
            <Text bold>{controlName(line.control, own)}</Text>
            <Text kind="figure">{lineValue(line, units, setup.prediction.face, own)}</Text>
          </View>
          <Text faint kind="small" style={styles.because}>
            {lineReason(line, units)}
          </Text>
        </View>
      ))}
      {slice && (
        <Text kind="small">
          <Text kind="small" bold>
            Slice{' '}
          </Text>
          {slice.lines
            .map((l) => `${controlName(l.control, own)} ${lineValue(l, units, slice.prediction.face, own)}`)
            .join(' · ')}
        </Text>
      )}
      <Text kind="small">{[...expected.lines, ...expected.details].join(' ')}</Text>
      <Text faint kind="small">
        Start with this, then tune on the water. Not for navigation. The person steering does not tune.
      </Text>
    </Paper>
  );
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingTop: 3 },
  head: { flexDirection: 'row', justifyContent: 'space-between', flexWrap: 'wrap', columnGap: 12 },
  because: { fontSize: 13, lineHeight: 17 },
});
