import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { isTake } from '@/core/logbook/day';
import type { Day } from '@/core/logbook/day';
import { rewordDay } from '@/stores';
import { Button, Sheet, Text } from '@/ui';
import { timeWords } from '../words/day';
import { ANSWER_WORDS, MARK_WORDS } from '../words/deck';

interface FieldProps {
  label: string;
  value: string;
  most: number;
  onChange: (value: string) => void;
  testID: string;
}

const Field = ({ label, value, most, onChange, testID }: FieldProps) => (
  <TextInput
    mode="outlined"
    label={label}
    aria-label={label}
    value={value}
    maxLength={most}
    onChangeText={onChange}
    testID={testID}
  />
);

/** All words of a day, to be changed together. */
export function DayWords({ day, onClose }: { day: Day; onClose: () => void }) {
  const [words, setWords] = useState({
    name: day.name,
    waterName: day.waterName,
    weather: day.weather,
    note: day.note,
    marks: {} as Record<string, string>,
    lures: {} as Record<string, string>,
    species: {} as Record<string, string>,
  });
  const own = (name: 'name' | 'waterName' | 'weather' | 'note', label: string, most: number) => (
    <Field
      label={label}
      value={words[name]}
      most={most}
      onChange={(value) => setWords({ ...words, [name]: value })}
      testID={`day-words-${name}`}
    />
  );
  const part = (
    list: 'marks' | 'lures' | 'species',
    id: string,
    label: string,
    was: string,
    most: number,
  ) => (
    <Field
      key={`${list} ${id}`}
      label={label}
      value={words[list][id] ?? was}
      most={most}
      onChange={(value) => setWords({ ...words, [list]: { ...words[list], [id]: value } })}
      testID={`day-words-${list}-${id}`}
    />
  );
  return (
    <Sheet title="Words of this day" open onClose={onClose}>
      {own('name', 'Name', 60)}
      {own('waterName', 'Water', 60)}
      {own('weather', 'Weather', 120)}
      {own('note', 'Note', 4000)}
      {day.marks.length > 0 && <Text bold>Marks</Text>}
      {day.marks.map((m) =>
        part('marks', m.id, `${timeWords(m.at)} ${MARK_WORDS[m.kind].toLowerCase()}`, m.note, 400),
      )}
      {day.bites.length > 0 && <Text bold>What fish did</Text>}
      {day.bites.map((b) => (
        <View key={b.id} style={styles.bite}>
          {part(
            'lures',
            b.id,
            `${timeWords(b.at)} ${ANSWER_WORDS[b.answer].toLowerCase()}, lure`,
            b.lure,
            60,
          )}
          {isTake(b) && part('species', b.id, `${timeWords(b.at)} kind of fish`, b.species, 60)}
        </View>
      ))}
      <View style={styles.row}>
        <Button
          tone="main"
          label="Keep these words"
          onPress={() => {
            rewordDay(day.id, words);
            onClose();
          }}
          testID="day-words-keep"
        />
        <Button label="Leave them" onPress={onClose} />
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  bite: { gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
