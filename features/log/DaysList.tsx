import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import type { Day } from '@/core/logbook/day';
import { dayStore } from '@/stores';
import { Button, Icon, Text, TOUCH_PX, useTones } from '@/ui';
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
  if (days.length === 0) return null;
  return (
    <View style={styles.part} testID="days">
      <Text kind="heading">Days</Text>
      <View role="list" aria-label="Days">
        {(all ? days : days.slice(0, FIRST)).map((day) => (
          <Row key={day.id} day={day} />
        ))}
      </View>
      {days.length > FIRST && (
        <View style={styles.row}>
          <Button
            tone="quiet"
            label={all ? 'Fewer days' : `All ${days.length} days`}
            onPress={() => setAll(!all)}
            testID="all-days"
          />
        </View>
      )}
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
  row: { flexDirection: 'row' },
});
