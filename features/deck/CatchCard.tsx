import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { targetOf } from '@/core/advice';
import type { Bite, Day } from '@/core/logbook/day';
import { measure } from '@/core/units';
import { dayStore, nameCatch, planStore, proveCall } from '@/stores';
import { BigButton, Chips, NumberField, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { CALL_WORDS, PROOF_WORDS } from '../words/deck';

/** Kinds offered by a tap. */
const MOST_OFFERED = 4;
/** Longest fish told, m. */
const LONGEST_M = 3;

/** What a catch was: its kind by a tap or in words, and its length. It is kept as it is told; telling nothing is no matter. */
export function CatchCard({ day, bite, onDone }: { day: Day; bite: Bite; onDone: () => void }) {
  const tones = useTones();
  const { system } = useUnits();
  const small = measure(system, 'small');
  const brief = useStore(planStore, (s) => s.brief);
  const days = useStore(dayStore, (s) => s.days);
  const [other, setOther] = useState(false);
  const target = targetOf(brief);
  const before = days.flatMap((d) => d.bites.map((b) => b.species)).filter((s) => s !== '');
  // One kind is one, however it was written.
  const byName = new Map([target.label, ...before].map((name) => [name.toLowerCase(), name]));
  const offered = [...byName.values()].slice(0, MOST_OFFERED);
  const told = byName.get(bite.species.toLowerCase());
  const open = [...day.calls].reverse().find((c) => c.what === 'fish' && c.proof === null);
  const usualM = Math.sqrt(brief.lengthM[0] * brief.lengthM[1]);
  const tell = (change: Partial<Pick<Bite, 'species' | 'lengthM'>>): void =>
    nameCatch(day.id, bite.id, { species: bite.species, lengthM: bite.lengthM, ...change });
  return (
    <View
      style={[styles.card, { borderColor: tones.rule }]}
      role="group"
      aria-label="What you caught"
      testID="catch-card"
    >
      <Text bold style={styles.words}>
        What was it?
      </Text>
      <Chips
        large
        label="Kind you caught"
        value={other ? 'other' : (told ?? 'none')}
        options={[
          ...offered.map((name) => ({ value: name, label: name })),
          { value: 'other', label: 'Another kind' },
        ]}
        onChange={(name) => {
          setOther(name === 'other');
          if (name !== 'other') tell({ species: name });
        }}
      />
      {other && (
        <TextInput
          label="Kind"
          aria-label="Kind"
          defaultValue={offered.includes(bite.species) ? '' : bite.species}
          maxLength={60}
          mode="outlined"
          style={styles.words}
          onChangeText={(species) => tell({ species })}
          testID="catch-kind"
        />
      )}
      <View style={styles.row}>
        <NumberField
          label="Length"
          value={Math.round(small.fromSi(bite.lengthM ?? usualM))}
          unit={small.unit}
          low={1}
          high={Math.round(small.fromSi(LONGEST_M))}
          decimals={0}
          onChange={(x) => tell({ lengthM: small.toSi(x) })}
          testID="catch-length"
        />
      </View>
      {open && (
        <BigButton
          label={`It proves “${CALL_WORDS[open.what].toLowerCase()}, ${Math.round(100 * open.sure)} % sure”`}
          onPress={() => proveCall(day.id, open.id, 'caught', `Noted: ${PROOF_WORDS.caught.told}.`)}
          testID="catch-proves"
        />
      )}
      <BigButton label="Done" onPress={onDone} testID="catch-done" />
    </View>
  );
}

const styles = StyleSheet.create({
  // A field is as high as it needs only in a row.
  row: { flexDirection: 'row' },
  card: { borderWidth: 1, borderRadius: 8, padding: 12, gap: 10, flexShrink: 0 },
  words: { fontSize: 20, lineHeight: 27 },
});
