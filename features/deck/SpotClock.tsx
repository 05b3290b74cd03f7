import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { bitePattern } from '@/core/logbook/bitePattern';
import { ANGLES, ANSWERS, SIDES, type Bite, type Day } from '@/core/logbook/day';
import { feedStore, keepBite, planStore } from '@/stores';
import { BigButton, Chips, Text } from '@/ui';
import { beep } from '@/ui/beep';
import { clock, useUnits } from '../units';
import { patternWords } from '../words/coach';
import { ANGLE_WORDS, ANSWER_WORDS, SIDE_WORDS } from '../words/deck';
import { CatchCard } from './CatchCard';
import { deckView } from './deckView';

/** A spot gets so long from its last bite, s. */
const SPOT_S = 600;

/** Minutes since the last bite, what the fish did, and what the bites share. */
export function SpotClock({ nowS, day }: { nowS: number; day: Day | null }) {
  const units = useUnits();
  const [beganS, setBeganS] = useState(nowS);
  const [side, setSide] = useState<NonNullable<Bite['side']> | 'none'>('none');
  const [angle, setAngle] = useState<NonNullable<Bite['angle']> | 'none'>('none');
  const [depthM, setDepthM] = useState<number | null>(null);
  const lure = useStore(deckView, (s) => s.lure);
  const { fromM, toM } = useStore(planStore, (s) => s.brief);
  const bites = useMemo(
    () => (day?.bites ?? []).filter((b) => b.answer === 'bite' || b.answer === 'catch'),
    [day],
  );
  const last = bites[bites.length - 1];
  const sinceS = Math.max(0, nowS - Math.max(beganS, last ? Date.parse(last.at) / 1000 : 0));
  const over = sinceS >= SPOT_S;
  useEffect(() => {
    if (!over) return;
    beep();
    navigator.vibrate?.([200, 100, 200]);
  }, [over]);
  // What came since the last bite, in the order it was tapped.
  const all = day?.bites ?? [];
  const since = all.slice(last ? all.lastIndexOf(last) + 1 : 0);
  const refusals = since.filter((b) => b.answer === 'refusal' && b.lure === lure.trim()).length;
  const pattern = useMemo(
    () =>
      bitePattern(
        bites,
        { fromM: Math.min(fromM, ...bites.map((b) => b.depthM ?? fromM)), toM },
        (day?.bites ?? []).map((b) => b.lure),
      ),
    [bites, day, fromM, toM],
  );
  const [caughtId, setCaughtId] = useState<string | null>(null);
  const caught = (day?.bites ?? []).find((b) => b.id === caughtId);
  const keep = (answer: Bite['answer']): void => {
    const id = keepBite(
      {
        atS: nowS,
        answer,
        side: side === 'none' ? null : side,
        angle: angle === 'none' ? null : angle,
        depthM,
        lure: lure.trim(),
        species: '',
        lengthM: null,
      },
      feedStore.getState().source === 'simulated',
      `${ANSWER_WORDS[answer]} noted.`,
    );
    setCaughtId(answer === 'catch' ? id : null);
  };
  const depths = [1, 2, 3, 4, 5, 6].map((k) => Math.round(fromM + ((toM - fromM) * (k - 0.5)) / 6));
  return (
    <View style={styles.part}>
      <View style={styles.row}>
        <View style={styles.clock}>
          <Text bold style={styles.big} role="timer" testID="spot-clock">
            {clock(sinceS)}
          </Text>
          <Text style={styles.words}>
            {over ? 'Ten minutes without a bite: try another spot.' : 'since the last bite or the start here'}
          </Text>
        </View>
        <BigButton label="New spot" onPress={() => setBeganS(nowS)} testID="new-spot" />
      </View>
      {pattern && (
        <View testID="bite-pattern" role="status">
          <Text bold style={styles.pattern}>
            {patternWords(pattern, units)[0]}
          </Text>
          <Text style={styles.words}>{patternWords(pattern, units)[1]}</Text>
        </View>
      )}
      {refusals >= 2 && (
        <Text bold style={styles.words} role="status" testID="change-one">
          {refusals} refusals: change one thing, colour, size or angle.
        </Text>
      )}
      <View style={styles.row}>
        {ANSWERS.map((answer) => (
          <View key={answer} style={styles.half}>
            <BigButton
              label={ANSWER_WORDS[answer]}
              tone={answer === 'bite' ? 'main' : 'plain'}
              onPress={() => keep(answer)}
              testID={`answer-${answer}`}
            />
          </View>
        ))}
      </View>
      {caught && day && (
        <CatchCard key={caught.id} day={day} bite={caught} onDone={() => setCaughtId(null)} />
      )}
      <Text style={styles.words}>Of the next one:</Text>
      <Chips
        large
        label="Side of the buoy"
        value={side}
        options={[
          { value: 'none', label: 'Side?' },
          ...SIDES.map((value) => ({ value, label: SIDE_WORDS[value] })),
        ]}
        onChange={setSide}
      />
      <Chips
        large
        label="Angle of the lure"
        value={angle}
        options={[
          { value: 'none', label: 'Angle?' },
          ...ANGLES.map((value) => ({ value, label: ANGLE_WORDS[value] })),
        ]}
        onChange={setAngle}
      />
      <Chips
        large
        label="Depth of the lure"
        value={depthM === null ? 'none' : String(depthM)}
        options={[
          { value: 'none', label: 'Depth?' },
          ...[...new Set(depths)].map((d) => ({ value: String(d), label: units.show('depth', d, 0) })),
        ]}
        onChange={(value) => setDepthM(value === 'none' ? null : Number(value))}
      />
      <TextInput
        label="Lure on the line"
        aria-label="Lure on the line"
        value={lure}
        maxLength={60}
        mode="outlined"
        style={styles.lure}
        onChangeText={(text) => deckView.setState({ lure: text })}
        testID="lure"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' },
  half: { flexGrow: 1, flexBasis: '45%' },
  clock: { flexGrow: 1, flexBasis: 180 },
  big: { fontSize: 52, lineHeight: 58 },
  pattern: { fontSize: 24, lineHeight: 31 },
  words: { fontSize: 20, lineHeight: 27 },
  lure: { fontSize: 20 },
});
