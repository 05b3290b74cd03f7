import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import type { Presentation } from '@/core/advice';
import { problemOf } from '@/core/formats';
import {
  deleteKeptSettings,
  fitsBench,
  hasStart,
  holdInPlan,
  keepSettings,
  keptSettingsStore,
  notify,
  openKeptSettings,
  passStore,
  setAsKept,
  viewOf,
  viewStore,
  type KeptSettings,
} from '@/stores';
import { Button, Chips, Sheet, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { PHASE_WORDS } from '../words/brief';
import { signedDb } from '../words/numbers';
import { sourceWords } from '../words/source';
import { BenchShare } from './BenchShare';

const LONGEST_NAME = 60;
const PHASES = Object.keys(PHASE_WORDS) as Presentation[];

/** One of the settings kept by name. */
function Kept({ item, onDone }: { item: KeptSettings; onDone: () => void }) {
  const tones = useTones();
  const units = useUnits();
  const { name, phase, water, source, rig, settings } = item;
  const beam = rig.faces.find((f) => f.id === settings.faceId)?.label ?? settings.faceId;
  return (
    <View
      role="listitem"
      style={[styles.item, { borderTopColor: tones.rule }]}
      testID={`kept-settings-${name}`}
    >
      <Text bold>
        {name}
        {phase && ` · ${PHASE_WORDS[phase]}`}
      </Text>
      <Text faint kind="small">
        {water}. {sourceWords(source, units)} {beam}, range {units.show('depth', settings.rangeM, 0)}, gain{' '}
        {settings.gainMode === 'auto' ? 'auto' : signedDb(settings.gainDb)}.
      </Text>
      <View style={styles.row}>
        <Button
          label="Use here"
          spoken={`Set the water on the bench as ${name} says`}
          onPress={() => {
            if (!fitsBench(item))
              return notify('The boat on the bench has no such beam. Open it with its water.');
            setAsKept(item);
            onDone();
          }}
        />
        <Button
          label="Open with its water"
          spoken={`Open ${name} with its water`}
          onPress={() => {
            openKeptSettings(item);
            onDone();
          }}
        />
        <Button
          tone="quiet"
          label="Delete"
          spoken={`Delete ${name}`}
          onPress={() => deleteKeptSettings(item.id)}
        />
      </View>
    </View>
  );
}

/** What can be done with what is set on the bench: keep it by name, hold it in the plan, read its pass, save it, pass it on. */
export function SaveSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const router = useRouter();
  const { kept } = useStore(keptSettingsStore);
  const ofBrief = useStore(passStore, hasStart);
  const presentation = useStore(passStore, ({ pass: { source } }) =>
    source.kind === 'brief' ? source.brief.presentation : null,
  );
  const water = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.title ?? 'Water on the bench');
  const [name, setName] = useState('');
  const [chosen, setPhase] = useState<Presentation | 'any' | null>(null);
  const shown = chosen ?? presentation ?? 'any';
  const phase = shown === 'any' ? null : shown;
  const goTo = (where: '/read' | '/read?save'): void => {
    onClose();
    router.push(where);
  };
  return (
    <Sheet title="Save or use these settings" open={open} onClose={onClose}>
      <View style={styles.row}>
        <Button label="Read this pass" onPress={() => goTo('/read')} testID="read-pass" />
        <Button label="Save to log" onPress={() => goTo('/read?save')} testID="pass-to-log" />
        {ofBrief && (
          <Button
            label="Hold in plan"
            spoken="Hold in your plan what was turned here"
            onPress={() => {
              holdInPlan();
              onClose();
            }}
            testID="hold-in-plan"
          />
        )}
      </View>
      <TextInput
        mode="outlined"
        label="Name of these settings"
        accessibilityLabel="Name of these settings"
        value={name}
        maxLength={LONGEST_NAME}
        onChangeText={setName}
        testID="settings-name"
      />
      <Chips
        label="Phase of the day"
        value={shown}
        options={[
          { value: 'any' as const, label: 'Any' },
          ...PHASES.map((value) => ({ value, label: PHASE_WORDS[value] })),
        ]}
        onChange={setPhase}
        compact
      />
      <Button
        tone="main"
        label="Save these settings"
        onPress={() => {
          const wrong = problemOf(
            keepSettings(name || (phase ? PHASE_WORDS[phase] : 'Settings'), phase, water),
          );
          notify(wrong ?? 'Saved. Open it here on any day.');
          if (!wrong) setName('');
        }}
        testID="keep-settings"
      />
      {kept.length === 0 ? (
        <Text faint>Your saved settings will be here, one or more for each phase.</Text>
      ) : (
        <View role="list" aria-label="Saved settings">
          {kept.map((item) => (
            <Kept key={item.id} item={item} onDone={onClose} />
          ))}
        </View>
      )}
      <BenchShare onDone={onClose} />
    </Sheet>
  );
}

const styles = StyleSheet.create({
  item: { borderTopWidth: 1, paddingVertical: 8, gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
