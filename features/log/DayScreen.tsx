import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { longestPause } from '@/core/logbook/dayChanges';
import { lastUsed, type Day } from '@/core/logbook/day';
import { dayStore, deleteDay, notify } from '@/stores';
import { dayFileOf, divideDay, joinDays } from '@/stores/dayChanges';
import { Button, EmptyState, saveFile, Text } from '@/ui';
import { Paper } from '../paper';
import { useUnits } from '../units';
import { briefWords } from '../words/brief';
import { biteWords, callWords, dateWords, dayLine, timeWords, usedWords } from '../words/day';
import { MARK_WORDS } from '../words/deck';
import { DayTraces } from './DayTraces';
import { DayWords } from './DayWords';
import { TrackSketch } from './TrackSketch';

function Listed({
  title,
  lines,
}: {
  title: string;
  lines: readonly (readonly [key: string, words: string])[];
}) {
  if (lines.length === 0) return null;
  return (
    <View style={styles.part}>
      <Text bold>{title}</Text>
      {lines.map(([key, words]) => (
        <Text key={key} kind="small">
          {words}
        </Text>
      ))}
    </View>
  );
}

function DayActions({ day, days }: { day: Day; days: readonly Day[] }) {
  const router = useRouter();
  const before = days[days.findIndex((d) => d.id === day.id) + 1];
  const pause = longestPause(day);
  const [wording, setWording] = useState(false);
  return (
    <>
      {before && before.simulated === day.simulated && (
        <Button
          label={`Join with ${before.name}`}
          onPress={() => {
            if (joinDays(day.id, before.id)) router.replace(`/day?id=${encodeURIComponent(before.id)}`);
            else notify('Both together are more than one day can hold.');
          }}
          testID="join-day"
        />
      )}
      {pause !== null && (
        <Button
          label={`Split at ${timeWords(pause)}`}
          spoken={`Make two days of it, at ${timeWords(pause)}, where it paused longest`}
          onPress={() => divideDay(day.id, pause)}
          testID="split-day"
        />
      )}
      <Button
        label="Save as a file"
        onPress={() => saveFile('day.json', dayFileOf(day), 'application/json')}
        testID="save-day"
      />
      <Button label="Change its words" onPress={() => setWording(true)} testID="reword-day" />
      {wording && <DayWords day={day} onClose={() => setWording(false)} />}
      <Button
        label="Delete this day"
        onPress={() => {
          deleteDay(day.id);
          router.push('/log');
        }}
      />
      <Button tone="quiet" label="Back to the log" onPress={() => router.push('/log')} />
    </>
  );
}

/** One day on a page: where, what was planned, called and caught, and its way. For the screen, for paper, for a picture. */
export function DayScreen() {
  const { id } = useLocalSearchParams<{ id?: string }>();
  const router = useRouter();
  const units = useUnits();
  const days = useStore(dayStore, (s) => s.days);
  const day = days.find((d) => d.id === id);
  if (!day)
    return (
      <View style={styles.missing}>
        <Text kind="title">A day</Text>
        <EmptyState
          title="This day is not here"
          hint="It was deleted, or joined with another. The log lists all days."
          action={{ label: 'Go to the log', onPress: () => router.push('/log') }}
        />
      </View>
    );
  const words = day.plan ? briefWords(day.plan.brief, units, undefined) : null;
  return (
    <Paper pictureName="day.png" actions={<DayActions day={day} days={days} />}>
      <Text kind="title">{day.name}</Text>
      <Text>{dayLine(day)}.</Text>
      {words && (
        <Text kind="small">
          Planned: {words.species}, {words.depth}, {words.water}, {words.presentation}.
        </Text>
      )}
      {day.rig && <Text kind="small">Boat: {day.rig.name}.</Text>}
      {day.weather !== '' && <Text>{day.weather}</Text>}
      {day.note !== '' && <Text>{day.note}</Text>}
      <View style={styles.columns}>
        <View style={styles.part}>
          <TrackSketch day={day} />
          <DayTraces day={day} />
        </View>
        <View style={styles.lists}>
          <Listed title="What fish did" lines={day.bites.map((b) => [b.id, biteWords(b, units)])} />
          <Listed
            title="Set on the unit"
            lines={lastUsed(day.used).map((u) => [`${u.phase} ${u.picture} ${u.control}`, usedWords(u)])}
          />
          <Listed
            title="Pictures and recordings"
            lines={day.files.map((f) => [f.fileId, `${timeWords(f.at)} ${f.title}`])}
          />
          <Listed
            title="Passes saved"
            lines={day.passes.map((p) => [p.entryId, `${timeWords(p.at)} ${p.title}`])}
          />
          <Listed
            title="What the coach said"
            lines={day.coached.map((c, k) => [`${c.at} ${k}`, `${timeWords(c.at)} ${c.words}`])}
          />
          <Listed title="Calls" lines={day.calls.map((c) => [c.id, callWords(c)])} />
          <Listed
            title="Marks"
            lines={day.marks.map((m) => [
              m.id,
              `${timeWords(m.at)} ${MARK_WORDS[m.kind].toLowerCase()}${m.note ? `: ${m.note}` : ''}, within ${units.show('depth', m.errorM, 0)}`,
            ])}
          />
        </View>
      </View>
      <Text faint kind="small">
        {dateWords(day.startedAt)}. Not for navigation.{day.simulated ? ' Places are simulated.' : ''}
      </Text>
    </Paper>
  );
}

const styles = StyleSheet.create({
  missing: { padding: 16, gap: 12 },
  columns: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
  lists: { flexGrow: 1, flexBasis: 260, gap: 10 },
  part: { gap: 2 },
});
