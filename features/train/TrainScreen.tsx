import { useEffect, useMemo } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { deepestFishOf } from '@/core/advice';
import { DRILLS, MADE_DRILLS } from '@/core/training/drill';
import { ownMarks } from '@/core/training/ownMarks';
import { trainingProgress } from '@/core/training/progress';
import { logStore, trainingStore } from '@/stores';
import { Icon, Text, useTones, useWide } from '@/ui';
import { useUnits } from '../units';
import { DRILL_WORDS, drillLine } from '../words/training';
import { DrillProgressPart } from './DrillProgressPart';
import { OpenDrill } from './OpenDrill';
import { SittingView } from './SittingView';
import { sittingStore, startSitting, stopSitting } from './sittingStore';
import { useTrained } from './useTrained';

/** Short drills on made water: which to take, how each went, and the one that is going on. */
export function TrainScreen() {
  const tones = useTones();
  const wide = useWide();
  const { show, band } = useUnits();
  const trained = useTrained();
  const running = useStore(sittingStore, (s) => s.running !== null);
  const sittings = useStore(trainingStore, (s) => s.sittings);
  useEffect(() => stopSitting, []);
  const entries = useStore(logStore, (s) => s.entries);
  const own = useMemo(() => ownMarks(entries), [entries]);
  const progress = trainingProgress(sittings);
  if (running)
    return (
      <View style={[styles.screen, wide && styles.screenWide]} role="region" aria-label="Drill">
        <SittingView />
      </View>
    );
  const { brief } = trained;
  return (
    <ScrollView contentContainerStyle={[styles.home, wide && styles.homeWide]} testID="train">
      <Text kind="title">Train</Text>
      <Text>
        Ten rounds, about three minutes. The water is made for your boat and your plan: fish at{' '}
        {band('depth', brief.fromM, deepestFishOf(brief), 0)} over {show('depth', brief.toM, 0)}.
      </Text>
      <View role="list" aria-label="Drills" style={styles.list}>
        {(own.length > 0 ? DRILLS : MADE_DRILLS).map((drill) => {
          const done = progress.find((p) => p.drill === drill);
          return (
            <View key={drill} role="listitem" style={wide ? styles.cell : styles.row}>
              <Pressable
                role="button"
                onPress={() => startSitting(drill, trained)}
                style={[styles.drill, { borderColor: tones.faint }]}
                testID={`drill-${drill}`}
              >
                <View style={styles.words}>
                  <Text bold>{DRILL_WORDS[drill].title}</Text>
                  <Text kind="small">{done ? drillLine(done) : DRILL_WORDS[drill].about}</Text>
                </View>
                <Icon name="play" size={26} colour={tones.buoy} />
              </Pressable>
            </View>
          );
        })}
      </View>
      <Text faint kind="small">
        {own.length > 0
          ? `“Yours” asks about ${own.length} ${own.length === 1 ? 'mark' : 'marks'} of your own saved passes.`
          : 'Say in Read which marks are right or wrong, and save the pass: they become a drill of your own.'}
      </Text>
      <DrillProgressPart progress={progress} />
      <OpenDrill palettes={trained.palettes} />
      <Text faint kind="small">
        Made water teaches the look of things. Real water adds what no model has. Prove your calls on the
        water.
      </Text>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0, padding: 12, paddingBottom: 4 },
  screenWide: { padding: 24 },
  home: { padding: 16, gap: 14, paddingBottom: 40 },
  homeWide: { padding: 32, maxWidth: 1100, width: '100%', alignSelf: 'center' },
  list: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  row: { flexBasis: '100%' },
  cell: { flexGrow: 1, flexBasis: 320 },
  drill: {
    flexGrow: 1,
    minHeight: 64,
    borderWidth: 1,
    borderRadius: 4,
    paddingHorizontal: 14,
    paddingVertical: 10,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
  },
  words: { flex: 1, gap: 2 },
});
