import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { expectationOf } from '@/core/advice';
import type { PictureKind } from '@/core/picture';
import { openPhase, openUnit, planStore, preferenceStore, takeBriefToBench } from '@/stores';
import { Button, Chips, Text, useWide } from '@/ui';
import { PHASE_WORDS } from '../words/brief';
import { BeamsAndNumbers } from './BeamsAndNumbers';
import { BriefSentence } from './brief/BriefSentence';
import { Cautions } from './Cautions';
import { Coverage } from './Coverage';
import { FirstRun } from './FirstRun';
import { PlansSheet } from './PlansSheet';
import { SetupCard } from './SetupCard';
import { openPhaseOf, planOf, usePlan } from './usePlan';
import { useTrying } from './useTrying';
import { WhatToExpect } from './WhatToExpect';

const CARDS = [
  { value: 'cone', label: 'Cone' },
  { value: 'slice', label: 'Slice' },
] as const satisfies readonly { value: PictureKind; label: string }[];

/** The evening before: a brief that reads as a sentence, what to expect of it, and the setup it leads to. */
export function PlanScreen() {
  const begun = useStore(preferenceStore, (s) => s.begun);
  const { phases, phase, rig, unit, setup, slice, before, untried } = usePlan();
  useTrying(untried);
  const units = useStore(planStore, (s) => s.rig.units);
  const chosen = useStore(planStore, (s) => openPhaseOf(phases, s.phase, s.brief).presentation);
  const [card, setCard] = useState<PictureKind>('cone');
  const router = useRouter();
  const [plansOpen, setPlansOpen] = useState(false);
  const wide = useWide();
  const onSlice = card === 'slice' && slice !== null;

  const take = (): void => {
    const now = planOf(planStore.getState());
    const shown = onSlice && now.slice ? now.slice : now.setup;
    takeBriefToBench(now.phase.brief, now.rig, shown.settings);
    router.push('/tune');
  };

  const sentence = (
    <View style={styles.block}>
      {!begun && <FirstRun />}
      <BriefSentence />
    </View>
  );
  const day = (
    <View style={styles.day}>
      <Chips
        compact
        label="Phase of the day"
        value={chosen}
        options={phases.map((p) => ({ value: p.presentation, label: PHASE_WORDS[p.presentation] }))}
        onChange={openPhase}
      />
      {slice && (
        <Chips
          compact
          label="Picture"
          value={onSlice ? 'slice' : 'cone'}
          options={CARDS}
          onChange={setCard}
        />
      )}
      {units.length > 1 && (
        <Chips
          label="Unit"
          value={unit.id}
          options={units.map((u) => ({ value: u.id, label: u.name }))}
          onChange={openUnit}
        />
      )}
    </View>
  );
  const shown = onSlice ? slice : setup;
  const expected = useMemo(
    () => expectationOf(phase.brief, rig, shown.prediction, shown.settings),
    [phase, rig, shown],
  );
  const expect = <WhatToExpect brief={phase.brief} rig={rig} setup={shown} expected={expected} />;
  const table = (
    <SetupCard
      setup={shown}
      card={onSlice ? 'slice' : 'cone'}
      untried={untried.find((u) => u.setup === shown)?.key ?? null}
      before={(onSlice ? before?.slice : before?.setup) ?? null}
    />
  );
  const actions = (
    <View style={styles.actions}>
      <View style={styles.grow}>
        <Button tone="main" label="Take it to the bench" onPress={take} testID="take-to-bench" />
      </View>
      <Button icon="card-text-outline" label="Deck card" onPress={() => router.push('/deck')} testID="deck" />
      <Button label="Plans" onPress={() => setPlansOpen(true)} testID="plans" />
      <Button
        icon="printer-outline"
        label="Print or save"
        onPress={() => router.push('/sheet')}
        testID="sheet"
      />
    </View>
  );
  const more = (
    <>
      <BeamsAndNumbers brief={phase.brief} setup={shown} expected={expected} />
      <Coverage brief={phase.brief} setup={setup} />
      <Cautions brief={phase.brief} />
    </>
  );
  return (
    <View style={styles.screen}>
      <ScrollView contentContainerStyle={[styles.page, wide && styles.pageWide]}>
        <Text kind="title" style={styles.hidden}>
          Plan
        </Text>
        {wide ? (
          <>
            <View style={styles.left}>
              {sentence}
              {expect}
              {more}
            </View>
            <View style={styles.right}>
              {day}
              {table}
              {actions}
            </View>
          </>
        ) : (
          <>
            {sentence}
            {day}
            {expect}
            {table}
            {actions}
            {more}
          </>
        )}
      </ScrollView>
      <PlansSheet open={plansOpen} onClose={() => setPlansOpen(false)} />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  page: { paddingHorizontal: 14, paddingTop: 6, paddingBottom: 32, gap: 8 },
  pageWide: {
    flexDirection: 'row',
    gap: 40,
    padding: 32,
    maxWidth: 1240,
    width: '100%',
    alignSelf: 'center',
  },
  // The place is named by the tab; a screen reader still wants its heading.
  hidden: { position: 'absolute', width: 1, height: 1, overflow: 'hidden' },
  left: { flex: 5, gap: 20, minWidth: 0 },
  right: { flex: 6, gap: 14, minWidth: 0 },
  block: { gap: 8 },
  day: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 10, rowGap: 6 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 10 },
  grow: { flexGrow: 1 },
});
