import { toPng } from 'html-to-image';
import { useRouter } from 'expo-router';
import { createElement, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { expectationOf, planToJson } from '@/core/advice';
import { planStore, presentPlan } from '@/stores';
import { Button, saveFile, saveUrl, Text, TONES, TonesContext } from '@/ui';
import { useUnits } from '../units';
import { expectationWords } from './expectationWords';
import { useOwnUnit, usePlan } from './usePlan';
import { briefWords, CONTROL_WORDS, lineReason, lineValue, PHASE_WORDS } from './wording';

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
  const { brief, rig } = useStore(planStore);
  const { phase, setup, slice } = usePlan();
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
  const savePng = async (): Promise<void> => {
    if (!paper.current) return;
    try {
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
            <Text bold>{CONTROL_WORDS[line.control]}</Text>
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
            .map((l) => `${CONTROL_WORDS[l.control]} ${lineValue(l, units, slice.prediction.face, own)}`)
            .join(' · ')}
        </Text>
      )}
      {expectationWords(expectationOf(phase.brief, rig, setup.prediction, setup.settings), units).map((w) => (
        <Text key={w} kind="small">
          {w}
        </Text>
      ))}
      <Text faint kind="small">
        A start, not an answer. Not for navigation; whoever steers does not tune.
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
              saveFile('plan.json', planToJson(presentPlan(title.slice(0, 60))), 'application/json')
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
