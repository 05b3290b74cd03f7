import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { CALLS, PROOFS, SURENESS, type Call, type Day } from '@/core/logbook/day';
import { wilson } from '@/core/maths';
import {
  dayStore,
  deleteDay,
  feedStore,
  keepBite,
  keepCall,
  nameWater,
  noteDay,
  noteWeather,
  openDay,
  proveCall,
  renameDay,
} from '@/stores';
import { BigButton, Chips, EmptyState, Text, useTones } from '@/ui';
import { usePlan } from '../plan/usePlan';
import { CALL_WORDS, PROOF_WORDS } from '../words/deck';
import { CatchCard } from './CatchCard';
import { boatOf } from './useBoatNow';

/** The user's calls that came out, right and wrong; what is only supported counts for neither. */
function outcome(calls: readonly Call[]): { right: number; of: number } {
  const proved = calls.filter((c) => c.by === 'user' && c.proof !== null && c.proof !== 'supported');
  return { right: proved.filter((c) => c.proof !== 'refuted').length, of: proved.length };
}

/** A catch so near in time to a call is the one that proves it, ms. */
const SAME_CATCH_MS = 10 * 60_000;

/** The catch that proves a call: the last one kept with it, or a new one. @returns its id */
function catchOf(day: Day): string {
  const last = [...day.bites].reverse().find((b) => b.answer === 'catch');
  if (last && Date.now() - Date.parse(last.at) < SAME_CATCH_MS) return last.id;
  const told = { answer: 'catch', side: null, angle: null, depthM: null, lure: '', species: '' } as const;
  const { source, nowS } = feedStore.getState();
  return keepBite(
    { ...told, lengthM: null, atS: source === 'off' ? Date.now() / 1000 : nowS },
    day.simulated,
    `Noted: ${PROOF_WORDS.caught.told}.`,
  );
}

/** One call, and how it came out: one tap. A catch is then asked for its kind and length. */
function CallRow({ call, day }: { call: Call; day: Day }) {
  const tones = useTones();
  const [catchId, setCatchId] = useState<string | null>(null);
  const caught = day.bites.find((b) => b.id === catchId);
  const dayId = day.id;
  return (
    <View role="listitem" style={[styles.call, { borderTopColor: tones.rule }]} testID="call">
      <Text bold style={styles.words}>
        {call.by === 'reader' ? 'The reader: ' : ''}
        {CALL_WORDS[call.what]}, {Math.round(100 * call.sure)} % sure
        {call.proof ? `: ${PROOF_WORDS[call.proof].told}` : ''}
      </Text>
      {call.proof === null && (
        <View style={styles.row}>
          {PROOFS.map((proof) => (
            <BigButton
              key={proof}
              label={PROOF_WORDS[proof].label}
              onPress={() => {
                if (proof === 'caught') setCatchId(catchOf(day));
                proveCall(dayId, call.id, proof, `Noted: ${PROOF_WORDS[proof].told}.`);
              }}
              testID={`prove-${proof}`}
            />
          ))}
        </View>
      )}
      {caught && <CatchCard day={day} bite={caught} onDone={() => setCatchId(null)} />}
    </View>
  );
}

/** What was called and how it came out, the day's name and note, and the days before. */
export function DayPart({ day }: { day: Day | null }) {
  const days = useStore(dayStore, (s) => s.days);
  const [sure, setSure] = useState<(typeof SURENESS)[number]>(0.8);
  const { setup } = usePlan();
  const call = (what: Call['what']): void => {
    const { source, feed, fixes, nowS } = feedStore.getState();
    const { depthM } = boatOf(source, feed, fixes, nowS);
    keepCall({ what, sure, by: 'user', depthM, beam: setup.prediction.face.label }, source === 'simulated');
  };
  const calls = day?.calls ?? [];
  const { right, of } = outcome(calls);
  const [low, high] = wilson(right, of);
  return (
    <View style={styles.part}>
      <Text bold style={styles.words}>
        Call it before you know:
      </Text>
      <Chips
        large
        label="How sure you are"
        value={String(sure)}
        options={SURENESS.map((s) => ({ value: String(s), label: `${Math.round(100 * s)} % sure` }))}
        onChange={(value) => setSure(SURENESS.find((s) => String(s) === value)!)}
      />
      <View style={styles.row}>
        {CALLS.map((what) => (
          <BigButton key={what} label={CALL_WORDS[what]} onPress={() => call(what)} testID={`call-${what}`} />
        ))}
      </View>
      {of > 0 && (
        <Text style={styles.words} testID="day-record">
          Right {right} of {of} today. That fits {Math.round(100 * low)} to {Math.round(100 * high)} % in the
          long run (Wilson).
        </Text>
      )}
      <View role="list" aria-label="Calls of today">
        {[...calls].reverse().map((call) => (
          <CallRow key={call.id} call={call} day={day!} />
        ))}
      </View>
      {day ? (
        <>
          <TextInput
            key={day.id}
            label="Name of the day"
            aria-label="Name of the day"
            defaultValue={day.name}
            maxLength={60}
            mode="outlined"
            style={styles.field}
            onEndEditing={({ nativeEvent }) => renameDay(day.id, nativeEvent.text)}
            onBlur={(event) => renameDay(day.id, (event.target as unknown as HTMLInputElement).value)}
            testID="day-name"
          />
          <TextInput
            key={`water-${day.id}`}
            label="Water"
            aria-label="Water"
            defaultValue={day.waterName}
            maxLength={60}
            mode="outlined"
            style={styles.field}
            onBlur={(event) => nameWater(day.id, (event.target as unknown as HTMLInputElement).value.trim())}
            testID="day-water"
          />
          <TextInput
            key={`weather-${day.id}`}
            label="Weather"
            aria-label="Weather"
            defaultValue={day.weather}
            maxLength={120}
            mode="outlined"
            style={styles.field}
            onBlur={(event) =>
              noteWeather(day.id, (event.target as unknown as HTMLInputElement).value.trim())
            }
            testID="day-weather"
          />
          <TextInput
            key={`note-${day.id}`}
            label="Note"
            aria-label="Note"
            defaultValue={day.note}
            maxLength={4000}
            mode="outlined"
            multiline
            style={styles.field}
            onBlur={(event) => noteDay(day.id, (event.target as unknown as HTMLTextAreaElement).value)}
            testID="day-note"
          />
          <Text style={styles.words} testID="day-counts">
            {day.marks.length} marks, {day.bites.length} answers of fish, {day.calls.length} calls,{' '}
            {day.track.length} points of track{day.simulated ? ', simulated' : ''}.
          </Text>
        </>
      ) : (
        <EmptyState
          title="The day has not begun"
          hint="It begins by itself with the first mark, bite, call or line you set."
        />
      )}
      {days.length > 1 && (
        <View role="list" aria-label="Days" style={styles.part}>
          {days.map((d) => (
            <View key={d.id} role="listitem" style={styles.row}>
              <BigButton
                label={`${d.name}${d.simulated ? ', simulated' : ''}`}
                tone={d.id === day?.id ? 'chosen' : 'plain'}
                onPress={() => openDay(d.id)}
              />
              {d.id !== day?.id && (
                <View>
                  <BigButton label="Delete" spoken={`Delete ${d.name}`} onPress={() => deleteDay(d.id)} />
                </View>
              )}
            </View>
          ))}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  call: { borderTopWidth: 1, paddingVertical: 8, gap: 8 },
  words: { fontSize: 20, lineHeight: 27 },
  field: { fontSize: 20 },
});
