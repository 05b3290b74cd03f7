import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { problemOf } from '@/core/formats';
import type { Day } from '@/core/logbook/day';
import { dayStore } from '@/stores';
import { LARGEST_DAY_FILE, takeDayFile } from '@/stores/dayChanges';
import { Button, chooseFile, Icon, Text, TOUCH_PX, useTones } from '@/ui';
import { dayLine } from '../words/day';

/** Days shown before more are asked for. */
const FIRST = 4;

function Row({ day }: { day: Day }) {
  const tones = useTones();
  const router = useRouter();
  return (
    <View role="listitem">
      <Pressable
        role="button"
        onPress={() => router.push(`/day?id=${encodeURIComponent(day.id)}`)}
        style={[styles.day, { borderTopColor: tones.rule }]}
        testID="day-row"
      >
        <View style={styles.words}>
          <Text bold>{day.name}</Text>
          <Text faint kind="small">
            {dayLine(day)}
          </Text>
        </View>
        <Icon name="chevron-right" colour={tones.ink} />
      </Pressable>
    </View>
  );
}

/** The days on the water, the newest first; each opens its own page. */
export function DaysList() {
  const days = useStore(dayStore, (s) => s.days);
  const [all, setAll] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (): Promise<void> => {
    const file = await chooseFile('.json,application/json');
    if (!file) return;
    setProblem(
      file.size > LARGEST_DAY_FILE
        ? 'This file is too long to be a day. Nothing was changed.'
        : problemOf(await takeDayFile(await file.text())),
    );
  };
  if (days.length === 0) return null;
  return (
    <View style={styles.part} testID="days">
      <Text kind="heading">Days</Text>
      <View role="list" aria-label="Days">
        {(all ? days : days.slice(0, FIRST)).map((day) => (
          <Row key={day.id} day={day} />
        ))}
      </View>
      <View style={styles.row}>
        {days.length > FIRST && (
          <Button
            tone="quiet"
            label={all ? 'Fewer days' : `All ${days.length} days`}
            onPress={() => setAll(!all)}
            testID="all-days"
          />
        )}
        <Button tone="quiet" label="Open a day’s file" onPress={() => void open()} testID="open-day-file" />
      </View>
      {problem && <Text role="alert">{problem}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 6, maxWidth: 720 },
  day: {
    minHeight: TOUCH_PX + 8,
    borderTopWidth: 1,
    paddingVertical: 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
  },
  words: { flex: 1 },
  row: { flexDirection: 'row', flexWrap: 'wrap' },
});
