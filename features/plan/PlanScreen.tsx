import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useStore } from 'zustand';
import { openPhase, planStore, preferenceStore, takeToBench } from '@/stores';
import { Button, Chips, Text, useTones, WIDE_PX } from '@/ui';
import { BriefSentence } from './brief/BriefSentence';
import { Coverage } from './Coverage';
import { FirstRun } from './FirstRun';
import { PlansSheet } from './PlansSheet';
import { SetupCard, type Card } from './SetupCard';
import { openPhaseOf, planOf, usePlan } from './usePlan';
import { WhatToExpect } from './WhatToExpect';
import { PHASE_WORDS } from './wording';

const CARDS = [
  { value: 'cone', label: 'Cone' },
  { value: 'slice', label: 'Slice' },
] as const satisfies readonly { value: Card; label: string }[];

/** The evening before: a brief that reads as a sentence, and the setup it leads to. */
export function PlanScreen() {
  const begun = useStore(preferenceStore, (s) => s.begun);
  const { phases, phase, setup, slice } = usePlan();
  const chosen = useStore(planStore, (s) => openPhaseOf(phases, s.phase, s.brief).presentation);
  const [card, setCard] = useState<Card>('cone');
  const tones = useTones();
  const router = useRouter();
  const { width } = useWindowDimensions();
  const [plansOpen, setPlansOpen] = useState(false);
  const wide = width >= WIDE_PX;

  const take = (): void => {
    const state = planStore.getState();
    const now = planOf(state);
    takeToBench({ brief: now.phase.brief, rig: state.rig, seed: 1, settings: now.setup.settings });
    router.push('/tune');
  };

  const sentence = (
    <View style={styles.block}>
      <Text kind="title">Plan</Text>
      {!begun && <FirstRun />}
      <BriefSentence />
    </View>
  );
  const action = (
    <View style={[styles.action, !wide && { borderTopWidth: 1, borderTopColor: tones.rule }]}>
      <View style={styles.grow}>
        <Button tone="main" label="Take it to the bench" onPress={take} testID="take-to-bench" />
      </View>
      <Button label="Plans" onPress={() => setPlansOpen(true)} testID="plans" />
    </View>
  );
  const forTheBoat = (
    <View style={styles.boat}>
      <Button icon="card-text-outline" label="Deck card" onPress={() => router.push('/deck')} testID="deck" />
      <Button
        icon="printer-outline"
        label="Print or save"
        onPress={() => router.push('/sheet')}
        testID="sheet"
      />
    </View>
  );
  return (
    <View style={styles.screen}>
      <ScrollView contentContainerStyle={[styles.page, wide && styles.pageWide]}>
        <View style={wide && styles.left}>
          {sentence}
          {wide && action}
          {wide && <WhatToExpect brief={phase.brief} setup={setup} />}
          {wide && <Coverage brief={phase.brief} setup={setup} />}
        </View>
        <View style={wide && styles.right}>
          <Text kind="heading" style={styles.cardTitle}>
            Start setup
          </Text>
          <Chips
            label="Phase of the day"
            value={chosen}
            options={phases.map((p) => ({ value: p.presentation, label: PHASE_WORDS[p.presentation] }))}
            onChange={openPhase}
          />
          <Text faint kind="small" style={styles.aside}>
            A start, not an answer: it drifts with depth, clarity, bed, speed and the hour.
          </Text>
          {slice && (
            <View style={styles.cards}>
              <Chips label="Picture" value={card} options={CARDS} onChange={setCard} />
            </View>
          )}
          <SetupCard setup={slice && card === 'slice' ? slice : setup} card={slice ? card : 'cone'} />
          {forTheBoat}
          {!wide && <WhatToExpect brief={phase.brief} setup={setup} />}
          {!wide && <Coverage brief={phase.brief} setup={setup} />}
        </View>
      </ScrollView>
      {!wide && action}
      <PlansSheet open={plansOpen} onClose={() => setPlansOpen(false)} />
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
  left: { flex: 5, gap: 20, minWidth: 0 },
  right: { flex: 6, minWidth: 0 },
  block: { gap: 10 },
  cardTitle: { marginTop: 4, marginBottom: 8 },
  aside: { marginTop: 8 },
  cards: { marginTop: 12, marginBottom: 8 },
  action: { padding: 12, flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  grow: { flexGrow: 1 },
  boat: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingVertical: 14 },
});
