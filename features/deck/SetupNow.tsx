import { useEffect, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import {
  clearTicks,
  deckStore,
  noteDayPhase,
  noteUsedLine,
  openDeckPhase,
  openPhase,
  planStore,
  tickLine,
  turnPage,
} from '@/stores';
import { BigButton, Chips, Icon, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { PHASE_WORDS } from '../words/brief';
import { ComplaintSheet } from '../complaints/ComplaintSheet';
import { ComplaintWords } from '../complaints/ComplaintWords';
import { useOwnUnit, usePlan } from '../plan/usePlan';
import { deckPages, type DeckLine } from './deckPages';
import { whenSteered } from './deckView';
import { useBoatNow } from './useBoatNow';
import { useOfferedPhase } from './useOfferedPhase';

/** A swipe goes at least so far, px. */
const SWIPE_PX = 40;

/** One line: name and value large, ticked off by a tap anywhere on it. */
function Line({ line, on, onPress }: { line: DeckLine; on: boolean; onPress: () => void }) {
  const tones = useTones();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={`${line.name}: ${line.value}`}
      onPress={onPress}
      style={[styles.line, { borderTopColor: tones.rule }]}
      testID="deck-line"
    >
      <Icon
        name={on ? 'checkbox-marked' : 'checkbox-blank-outline'}
        colour={on ? tones.water : tones.ink}
        size={32}
      />
      <View style={styles.words}>
        <Text style={styles.name} numberOfLines={1}>
          {line.name}
        </Text>
        <Text bold style={[styles.value, { color: on ? tones.faint : tones.ink }]}>
          {line.value}
        </Text>
      </View>
    </Pressable>
  );
}

/** The setup of the phase in use, for sun and wet hands: five lines a page, ticked off as they are set on the unit; later phases show what changes. */
export function SetupNow() {
  const { phases, phase, setup, slice, before } = usePlan();
  const own = useOwnUnit();
  const units = useUnits();
  const { pages: places, ticks } = useStore(deckStore);
  const [all, setAll] = useState(false);
  const [from, setFrom] = useState<number | null>(null);
  const boat = useBoatNow();
  const { speedMps, source } = boat;
  const offered = useOfferedPhase(phases, boat);
  const name = phase.presentation;
  const at = phases.findIndex((p) => p.presentation === name);
  const pages = useMemo(
    () => deckPages(name, { setup, slice }, all ? null : before, units, own),
    [name, setup, slice, before, all, units, own],
  );
  const [wrong, setWrong] = useState(false);
  const count = Math.max(1, pages.length);
  const page = Math.min(places[name] ?? 0, count - 1);
  const step = (by: number): void => turnPage(name, Math.min(count - 1, Math.max(0, page + by)));
  useEffect(() => {
    const last = deckStore.getState().phase;
    if (last !== null && planStore.getState().phase === null) openPhase(last);
  }, []);
  useEffect(() => {
    const turn = (event: KeyboardEvent): void => {
      // A chosen chip answers the arrows itself.
      if (event.target instanceof HTMLInputElement) return;
      if (event.key === 'ArrowRight') turnPage(name, Math.min(count - 1, page + 1));
      if (event.key === 'ArrowLeft') turnPage(name, Math.max(0, page - 1));
    };
    window.addEventListener('keydown', turn);
    return () => window.removeEventListener('keydown', turn);
  }, [name, page, count]);
  const lines = pages[page] ?? [];
  return (
    <View style={styles.deck}>
      <View style={styles.head}>
        <View style={styles.phases}>
          <Chips
            large
            label="Phase of the day"
            value={name}
            options={phases.map((p) => ({ value: p.presentation, label: PHASE_WORDS[p.presentation] }))}
            onChange={(to) =>
              whenSteered(speedMps, () => {
                openDeckPhase(to);
                noteDayPhase(to, source === 'simulated');
              })
            }
          />
        </View>
        {offered && offered !== name && (
          <BigButton
            tone="main"
            label={`${PHASE_WORDS[offered]}?`}
            spoken={`Your speed says ${PHASE_WORDS[offered]}. Take its setup`}
            onPress={() =>
              whenSteered(speedMps, () => {
                openDeckPhase(offered);
                noteDayPhase(offered, source === 'simulated');
              })
            }
            testID="offered-phase"
          />
        )}
        <Text kind="figure" testID="deck-place">
          {page + 1} of {count}
        </Text>
      </View>
      <View
        style={styles.page}
        onStartShouldSetResponderCapture={() => false}
        onMoveShouldSetResponder={() => true}
        onResponderGrant={({ nativeEvent }) => setFrom(nativeEvent.pageX)}
        onResponderRelease={({ nativeEvent }) => {
          const moved = from === null ? 0 : nativeEvent.pageX - from;
          if (Math.abs(moved) > SWIPE_PX) step(moved < 0 ? 1 : -1);
          setFrom(null);
        }}
        testID="deck-card"
      >
        {lines.map((line) => (
          <Line
            key={line.key}
            line={line}
            on={ticks.includes(line.key)}
            onPress={() =>
              whenSteered(speedMps, () => {
                tickLine(line.key);
                const { picture, control, si } = line.of;
                noteUsedLine(
                  { phase: name, picture, control, value: si, shown: line.value.slice(0, 60) },
                  !ticks.includes(line.key),
                  source,
                );
              })
            }
          />
        ))}
        {pages.length === 0 && (
          <Text style={styles.name}>Nothing changes from {PHASE_WORDS[phases[at - 1]!.presentation]}.</Text>
        )}
      </View>
      <View style={[styles.row, count === 1 && styles.none]}>
        <View style={styles.half}>
          <BigButton icon="arrow-left" label="Back" onPress={() => step(-1)} disabled={page === 0} />
        </View>
        <View style={styles.half}>
          <BigButton
            tone="main"
            icon="arrow-right"
            label="Next"
            onPress={() => step(1)}
            disabled={page === count - 1}
            testID="deck-next"
          />
        </View>
      </View>
      <View style={styles.row}>
        {at > 0 && (
          <BigButton label={all ? 'Show changes only' : 'Show all lines'} onPress={() => setAll(!all)} />
        )}
        <BigButton label="What is wrong?" onPress={() => setWrong(true)} testID="deck-wrong" />
        <BigButton label="Clear ticks" onPress={clearTicks} disabled={ticks.length === 0} />
      </View>
      <ComplaintSheet
        open={wrong}
        onClose={() => setWrong(false)}
        one={(symptom, onBack) => <ComplaintWords symptom={symptom} onBack={onBack} />}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  deck: {
    flex: 1,
    gap: 4,
  },
  // Narrower than its chips it lets them wrap.
  phases: { flexShrink: 1 },
  head: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'space-between',
    alignItems: 'center',
    gap: 8,
  },
  // A swipe over words is no selection of them.
  page: { flex: 1, minHeight: 300, userSelect: 'none' },
  line: { flex: 1, maxHeight: 130, borderTopWidth: 1, flexDirection: 'row', alignItems: 'center', gap: 12 },
  words: { flex: 1, minWidth: 0 },
  name: { fontSize: 24, lineHeight: 30 },
  value: { fontSize: 32, lineHeight: 38 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 4 },
  none: { display: 'none' },
  half: { flexGrow: 1, flexBasis: 120 },
});
