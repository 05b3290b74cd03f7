import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useStore } from 'zustand';
import { expectationOf, startSetup, type Debated, type Setup, type SetupLine } from '@/core/advice';
import type { Face } from '@/core/rig';
import { keepTo, planStore, takeToBench } from '@/stores';
import { Button, InlineButton, Text, useTones, WIDE_PX } from '@/ui';
import { useUnits } from '../units';
import { BriefSheet } from './BriefSheet';
import { MarginChart } from './MarginChart';
import {
  becauseWords,
  briefWords,
  CONTROL_WORDS,
  lineValue,
  expectationWords,
  predictionNumbers,
  predictionWords,
  SCHOOL_WORDS,
  type BriefPiece,
} from './wording';

/** The other schools of a line, each with its own value and reason. */
function Schools({ line, face }: { line: SetupLine; face: Face }) {
  const units = useUnits();
  const tones = useTones();
  return (
    <View role="list" aria-label={`Other ways, ${CONTROL_WORDS[line.control]}`} style={styles.schools}>
      {line.others.map((other) => (
        <View
          key={other.school}
          role="listitem"
          style={[styles.school, { borderLeftColor: tones.water }]}
          testID={`school-${line.control}-${other.school}`}
        >
          <View style={styles.lineHead}>
            <Text bold>{SCHOOL_WORDS[other.school]}</Text>
            <Text kind="figure">{lineValue({ control: line.control, ...other }, units, face)}</Text>
          </View>
          <Text faint kind="small">
            {becauseWords(other.because, units)}
          </Text>
          <View style={styles.habit}>
            <Button
              tone="quiet"
              label="Make it my habit"
              spoken={`${CONTROL_WORDS[line.control]}: make ${SCHOOL_WORDS[other.school]} my habit`}
              onPress={() => keepTo(line.control as Debated, other.school)}
            />
          </View>
        </View>
      ))}
    </View>
  );
}

function SetupCard({ setup }: { setup: Setup }) {
  const units = useUnits();
  const tones = useTones();
  const [open, setOpen] = useState<string | null>(null);
  return (
    <View role="list" aria-label="Start setup">
      {setup.lines.map((line) => (
        <View key={line.control} role="listitem" style={[styles.line, { borderTopColor: tones.rule }]}>
          <View style={styles.lineHead}>
            <Text bold>{CONTROL_WORDS[line.control]}</Text>
            <Text kind="figure" testID={`setup-${line.control}`}>
              {lineValue(line, units, setup.prediction.face)}
            </Text>
          </View>
          <Text faint kind="small">
            {becauseWords(line.because, units)}
          </Text>
          {line.others.length > 0 && (
            <Pressable
              role="button"
              aria-expanded={open === line.control}
              aria-label={`${CONTROL_WORDS[line.control]}: ${line.others.length} other ${line.others.length === 1 ? 'way' : 'ways'}`}
              onPress={() => setOpen(open === line.control ? null : line.control)}
              style={styles.more}
              testID={`ways-${line.control}`}
            >
              <Text kind="small" style={{ color: tones.water }}>
                ⇄ {line.others.length} other {line.others.length === 1 ? 'way' : 'ways'}
              </Text>
            </Pressable>
          )}
          {open === line.control && <Schools line={line} face={setup.prediction.face} />}
        </View>
      ))}
    </View>
  );
}

function WhatToExpect({ setup }: { setup: Setup }) {
  const { brief, rig } = useStore(planStore);
  const [chartWidth, setChartWidth] = useState(0);
  const units = useUnits();
  const tones = useTones();
  const [numbers, setNumbers] = useState(false);
  return (
    <View style={[styles.expect, { borderColor: tones.rule }]}>
      <Text kind="heading">What to expect</Text>
      <View testID="expectation" style={styles.words}>
        {expectationWords(expectationOf(brief, rig, setup.prediction, setup.settings), units).map((words) => (
          <Text key={words}>{words}</Text>
        ))}
      </View>
      <Text kind="heading">What each beam would show</Text>
      {[setup.prediction, ...setup.others].map((p) => (
        <View key={p.face.id}>
          <Text bold={p === setup.prediction}>{predictionWords(p, units)}</Text>
          {numbers && (
            <Text faint kind="small">
              {predictionNumbers(p)}
            </Text>
          )}
        </View>
      ))}
      {numbers && (
        <View onLayout={({ nativeEvent }) => setChartWidth(nativeEvent.layout.width)}>
          {chartWidth > 0 && <MarginChart setup={setup} width={chartWidth} />}
        </View>
      )}
      <Pressable
        role="button"
        testID="show-numbers"
        aria-expanded={numbers}
        onPress={() => setNumbers(!numbers)}
        style={styles.more}
      >
        <Text style={{ color: tones.water }}>{numbers ? 'Hide the numbers' : 'Show the numbers'}</Text>
      </Pressable>
    </View>
  );
}

/** The evening before: a brief that reads as a sentence, and the setup it leads to. */
export function PlanScreen() {
  const { brief, rig, habits } = useStore(planStore);
  const units = useUnits();
  const tones = useTones();
  const router = useRouter();
  const { width } = useWindowDimensions();
  const [open, setOpen] = useState<BriefPiece | null>(null);
  const setup = useMemo(() => startSetup(brief, rig, habits), [brief, rig, habits]);
  const words = briefWords(
    brief,
    units,
    rig.faces.find((f) => f.id === brief.faceId),
  );
  const wide = width >= WIDE_PX;

  const piece = (name: BriefPiece, hint: string) => (
    <InlineButton
      words={words[name]}
      spoken={`${hint}: ${words[name]}. Change`}
      onPress={() => setOpen(name)}
      testID={`brief-${name}`}
    />
  );
  const take = (): void => {
    takeToBench({ brief, rig, seed: 1, settings: setup.settings });
    router.push('/tune');
  };

  const sentence = (
    <View style={styles.block}>
      <Text kind="title">Plan</Text>
      <Text style={styles.sentence}>
        {piece('species', 'Fish')}
        {', '}
        {piece('depth', 'Depth')}
        {', '}
        {piece('water', 'Water')}
        {', '}
        {piece('presentation', 'Presentation and speed')}
        {', with '}
        {piece('beam', 'Beam and transducer')}
        {'.'}
      </Text>
      <Text faint kind="small">
        Tap what is underlined to change it. The setup follows at once.
      </Text>
    </View>
  );
  const action = (
    <View style={[styles.action, !wide && { borderTopWidth: 1, borderTopColor: tones.rule }]}>
      <Button
        tone="main"
        icon="arrow-right"
        label="Take it to the bench"
        onPress={take}
        testID="take-to-bench"
      />
    </View>
  );
  return (
    <View style={styles.screen}>
      <ScrollView contentContainerStyle={[styles.page, wide && styles.pageWide]}>
        <View style={wide && styles.left}>
          {sentence}
          {wide && action}
          {wide && <WhatToExpect setup={setup} />}
        </View>
        <View style={wide && styles.right}>
          <Text kind="heading" style={styles.cardTitle}>
            Start setup
          </Text>
          <Text faint kind="small">
            A start, not an answer: it drifts with depth, clarity, bed, speed and the hour.
          </Text>
          <SetupCard setup={setup} />
          {!wide && <WhatToExpect setup={setup} />}
        </View>
      </ScrollView>
      {!wide && action}
      <BriefSheet piece={open} onClose={() => setOpen(null)} />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  page: { padding: 16, paddingBottom: 32, gap: 20 },
  pageWide: {
    flexDirection: 'row',
    gap: 40,
    padding: 32,
    maxWidth: 1240,
    width: '100%',
    alignSelf: 'center',
  },
  left: { flex: 5, gap: 20 },
  right: { flex: 6 },
  block: { gap: 10 },
  sentence: { fontSize: 21, lineHeight: 36 },
  cardTitle: { marginTop: 4 },
  line: { borderTopWidth: 1, paddingVertical: 10, gap: 3, marginTop: 6 },
  lineHead: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    gap: 12,
    flexWrap: 'wrap',
  },
  schools: { gap: 12, paddingVertical: 6 },
  school: { borderLeftWidth: 3, paddingLeft: 12, gap: 2 },
  words: { gap: 6 },
  habit: { alignItems: 'flex-start' },
  expect: { borderTopWidth: 2, paddingTop: 14, gap: 8, marginTop: 12 },
  more: { minHeight: 48, justifyContent: 'center' },
  action: { padding: 12 },
});
