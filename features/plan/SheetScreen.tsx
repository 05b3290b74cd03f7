import { useRouter } from 'expo-router';
import { createElement, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { expectationOf } from '@/core/advice';
import { writePlanFile } from '@/core/formats';
import { planStore, presentPlan } from '@/stores';
import { Button, saveFile, saveUrl, Text, TONES, TonesContext } from '@/ui';
import { useUnits } from '../units';
import { useOwnUnit, usePlan } from './usePlan';
import { controlName } from '../words/controls';
import { briefWords, PHASE_WORDS } from '../words/brief';
import { expectationWords } from '../words/expectation';
import { lineReason } from '../words/reasons';
import { lineValue } from '../words/setupValues';

/** On paper there is only the page: nothing of the app around it, and nothing that scrolls. */
const PRINT = `
@page { size: A4 portrait; margin: 12mm; }
@media print {
  [role="banner"], [role="navigation"], .screen-only { display: none !important; }
  html, body, #root, #root * { overflow: visible !important; }
  #root, #root div:not(.paper *) { height: auto !important; min-height: 0 !important; flex: none !important; position: static !important; transform: none !important; }
  .paper { width: 100% !important; padding: 0 !important; zoom: 0.72; }
  .paper * { color: #000 !important; }
}`;

/** The setup on one page, for paper or for a picture. */
export function SheetScreen() {
  const brief = useStore(planStore, (s) => s.brief);
  const { phase, rig, setup, slice } = usePlan();
  const own = useOwnUnit();
  const units = useUnits();
  const router = useRouter();
  const paper = useRef<HTMLDivElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
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
  const savePng = async (): Promise<void> => {
    if (!paper.current) return;
    try {
      const { toPng } = await import('html-to-image');
      saveUrl(
        'setup.png',
        await toPng(paper.current, { pixelRatio: 2, backgroundColor: TONES.day.page, skipFonts: true }),
      );
      setProblem(null);
    } catch {
      setProblem('The picture could not be made here. Print it instead.');
    }
  };
  const page = (
    <View style={styles.page}>
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
    </View>
  );
  return (
    <ScrollView contentContainerStyle={styles.scroll}>
      {createElement('style', null, PRINT)}
      {createElement(
        'div',
        { className: 'screen-only' },
        <View style={styles.actions}>
          <Button
            tone="main"
            icon="printer-outline"
            label="Print, or save as PDF"
            onPress={() => window.print()}
          />
          <Button label="Save as a picture" onPress={() => void savePng()} testID="save-png" />
          <Button
            label="Save as a file"
            onPress={() =>
              saveFile('plan.json', writePlanFile(presentPlan(title.slice(0, 60))), 'application/json')
            }
            testID="save-json"
          />
          <Button tone="quiet" label="Back to the plan" onPress={() => router.push('/plan')} />
        </View>,
      )}
      {problem && <Text role="alert">{problem}</Text>}
      {createElement(
        'div',
        {
          ref: paper,
          className: 'paper',
          'data-testid': 'paper',
          style: { backgroundColor: TONES.day.page, maxWidth: 760, width: '100%', alignSelf: 'center' },
        },
        <TonesContext.Provider value={TONES.day}>{page}</TonesContext.Provider>,
      )}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  scroll: { padding: 16, gap: 16 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  page: { padding: 20, gap: 5 },
  line: { borderTopWidth: 1, paddingTop: 3 },
  head: { flexDirection: 'row', justifyContent: 'space-between', flexWrap: 'wrap', columnGap: 12 },
  because: { fontSize: 13, lineHeight: 17 },
});
