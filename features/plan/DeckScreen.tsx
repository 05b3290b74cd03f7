import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Setup } from '@/core/advice';
import { kmhToMps } from '@/core/units';
import { Button, Text, Tick, useTones } from '@/ui';
import { useUnits } from '../units';
import { useOwnUnit, usePlan } from './usePlan';
import { useSpeed } from './useSpeed';
import { useWakeLock } from './useWakeLock';
import { CONTROL_WORDS, lineValue, PHASE_WORDS } from './wording';

/** A swipe goes at least so far, px. */
const SWIPE_PX = 40;
/** Faster than this the card only shows, m/s. */
const UNDER_WAY_MPS = kmhToMps(8);

/** The setup for sun and wet hands: one line at a time, ticked off as it is set on the unit. */
export function DeckScreen() {
  const { phase, setup, slice } = usePlan();
  const own = useOwnUnit();
  const units = useUnits();
  const tones = useTones();
  const router = useRouter();
  const awake = useWakeLock();
  const [at, setAt] = useState(0);
  const [done, setDone] = useState<readonly string[]>([]);
  const [watching, setWatching] = useState(false);
  const [from, setFrom] = useState<number | null>(null);
  const speed = useSpeed(watching);
  const underWay = speed !== null && speed > UNDER_WAY_MPS;
  const cardsOf = (of: Setup, before: string) =>
    of.lines.map((line) => ({
      line,
      face: of.prediction.face,
      name: `${before}${CONTROL_WORDS[line.control]}`,
    }));
  const cards = [...cardsOf(setup, ''), ...(slice ? cardsOf(slice, 'Slice: ') : [])];
  const count = cards.length;
  const { line, face, name } = cards[Math.min(at, count - 1)]!;
  const step = (by: number): void => setAt((k) => Math.min(count - 1, Math.max(0, k + by)));
  useEffect(() => {
    const turn = (event: KeyboardEvent): void => {
      if (event.key === 'ArrowRight') setAt((k) => Math.min(count - 1, k + 1));
      if (event.key === 'ArrowLeft') setAt((k) => Math.max(0, k - 1));
    };
    window.addEventListener('keydown', turn);
    return () => window.removeEventListener('keydown', turn);
  }, [count]);
  const isDone = done.includes(name);
  return (
    <View style={styles.deck}>
      <View style={styles.head}>
        <Text kind="title">{PHASE_WORDS[phase.presentation]}</Text>
        <Text kind="figure">
          {at + 1} of {count}
        </Text>
      </View>
      <View
        style={styles.card}
        onStartShouldSetResponder={() => true}
        onResponderTerminationRequest={() => false}
        onResponderGrant={({ nativeEvent }) => setFrom(nativeEvent.pageX)}
        onResponderRelease={({ nativeEvent }) => {
          const moved = from === null ? 0 : nativeEvent.pageX - from;
          if (Math.abs(moved) > SWIPE_PX) step(moved < 0 ? 1 : -1);
          setFrom(null);
        }}
        testID="deck-card"
      >
        <View aria-live="polite" style={styles.words}>
          <Text style={styles.name}>{name}</Text>
          <Text bold style={[styles.value, { color: tones.buoy }]} testID="deck-value">
            {lineValue(line, units, face, own)}
          </Text>
        </View>
      </View>
      <Tick
        label={underWay ? 'Under way: this card only shows' : 'Set on the unit'}
        on={isDone}
        onPress={() => {
          if (underWay) return;
          setDone(isDone ? done.filter((n) => n !== name) : [...done, name]);
        }}
      />
      <View style={styles.row}>
        <View style={styles.half}>
          <Button icon="arrow-left" label="Back" onPress={() => step(-1)} disabled={at === 0} />
        </View>
        <View style={styles.half}>
          <Button
            tone="main"
            icon="arrow-right"
            label="Next"
            onPress={() => step(1)}
            disabled={at === count - 1}
            testID="deck-next"
          />
        </View>
      </View>
      <View style={styles.row}>
        <Button tone="quiet" label="Back to the plan" onPress={() => router.push('/plan')} />
        <Button
          tone="quiet"
          label={watching ? 'Stop watching my speed' : 'Watch my speed'}
          onPress={() => setWatching(!watching)}
        />
      </View>
      <Text faint kind="small">
        {awake ? 'The screen stays awake. ' : 'This browser may let the screen sleep. '}
        {speed === null ? '' : `${units.show('speed', speed)}. `}
        Whoever steers does not tune.
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  deck: { flex: 1, padding: 16, gap: 10, maxWidth: 900, width: '100%', alignSelf: 'center' },
  head: { flexDirection: 'row', justifyContent: 'space-between' },
  // A swipe over words is no selection of them.
  card: { flex: 1, justifyContent: 'center', minHeight: 160, userSelect: 'none' },
  words: { gap: 12 },
  name: { fontSize: 30, lineHeight: 38 },
  value: { fontSize: 46, lineHeight: 56 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  half: { flexGrow: 1, flexBasis: 120 },
});
