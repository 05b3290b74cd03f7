import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { REMEDIES, remedied, type Symptom } from '@/core/bench/symptoms/symptom';
import type { SymptomCase } from '@/core/bench/symptoms/symptomCase';
import type { Picture } from '@/core/picture';
import { changeSettings, notify, passStore, startOfBench, takeToBench } from '@/stores';
import { Button, PixelPicture, Text, useTones, useWide } from '@/ui';
import { sideWorker } from '@/workers';
import { ComplaintSheet } from '../complaints/ComplaintSheet';
import { usePalette } from '../usePalette';
import { SYMPTOM_WORDS } from '../words/symptoms';

interface Seen {
  shown: SymptomCase;
  before: Picture;
  after: Picture | null;
}

/** A symptom drawn by the simulator as this boat would draw it. */
function useSymptom(symptom: Symptom): { seen: Seen | null; problem: string | null } {
  const rig = useStore(passStore, (s) => s.pass.rig);
  const palette = usePalette('cone');
  const [seen, setSeen] = useState<Seen | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    sideWorker()
      .run({ kind: 'symptom', symptom, rig, palette }, { lane: 'symptom' })
      .then(
        ({ result }) => !gone && setSeen(result),
        () => !gone && setProblem('Its picture could not be drawn. The words stand.'),
      );
    return () => {
      gone = true;
      sideWorker().cancel('symptom');
    };
  }, [symptom, rig, palette]);
  return { seen, problem };
}

function Shown({ picture, label }: { picture: Picture; label: string }) {
  const wide = useWide();
  const width = wide ? 240 : 156;
  return (
    <View style={styles.shown}>
      <PixelPicture
        width={picture.columns}
        height={picture.rows}
        pixels={picture.pixels}
        label={label}
        shownWidth={width}
        shownHeight={Math.round(0.8 * width)}
        testID="symptom-picture"
      />
      <Text kind="small" aria-hidden>
        {label}
      </Text>
    </View>
  );
}

/** One symptom: its picture, causes, move, and what should then be seen. */
function OneSymptom({
  symptom,
  onBack,
  onDone,
}: {
  symptom: Symptom;
  onBack: () => void;
  onDone: () => void;
}) {
  const tones = useTones();
  const { seen, problem } = useSymptom(symptom);
  const { complaint, causes, move, then } = SYMPTOM_WORDS[symptom];
  const remedy = REMEDIES[symptom];
  const onBench = (which: SymptomCase['before']): void => {
    takeToBench(which.pass, which.settings);
    onDone();
  };
  const turn = (): void => {
    const { settings } = passStore.getState();
    const next = remedied(settings, remedy, startOfBench());
    if (JSON.stringify(next) === JSON.stringify(settings))
      notify('The dials stand so already. Try the next cause.');
    else {
      changeSettings(next);
      notify(`${move} Done. Undo takes it back.`);
    }
    onDone();
  };
  return (
    <View style={styles.one}>
      <Text kind="heading">{complaint}</Text>
      {!seen && <Text faint>{problem ?? 'Drawing it as your boat would…'}</Text>}
      {seen && (
        <View style={styles.row}>
          <Shown picture={seen.before} label="How it looks" />
          {seen.after && <Shown picture={seen.after} label="After the move" />}
        </View>
      )}
      <Text bold>Likely causes, in order</Text>
      {causes.map((cause, k) => (
        <Text key={cause}>
          {k + 1}. {cause}
        </Text>
      ))}
      <View style={[styles.move, { borderLeftColor: tones.buoy }]}>
        <Text bold>{move}</Text>
        <Text>{then}</Text>
      </View>
      {remedy.kind === 'dials' && (
        <Button tone="main" label="Turn these dials now" onPress={turn} testID="turn-remedy" />
      )}
      {seen && (
        <View style={styles.row}>
          <Button
            label="Take it to the bench"
            onPress={() => onBench(seen.shown.before)}
            testID="show-symptom"
          />
          {seen.after && seen.shown.after && (
            <Button
              label="Take the mended one"
              spoken="Take the mended picture to the bench"
              onPress={() => onBench(seen.shown.after!)}
              testID="show-mended"
            />
          )}
        </View>
      )}
      <Button tone="quiet" label="All complaints" onPress={onBack} />
    </View>
  );
}

/** What is wrong with my picture: each complaint drawn on this boat, with what mends it. */
export const SymptomSheet = ({ open, onClose }: { open: boolean; onClose: () => void }) => (
  <ComplaintSheet
    open={open}
    onClose={onClose}
    one={(symptom, onBack, onDone) => (
      <OneSymptom key={symptom} symptom={symptom} onBack={onBack} onDone={onDone} />
    )}
  />
);

const styles = StyleSheet.create({
  one: { gap: 10 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap' },
  shown: { gap: 4 },
  move: { borderLeftWidth: 3, paddingLeft: 10, gap: 4 },
});
