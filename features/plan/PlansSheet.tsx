import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { planFromJson, planToJson, type Plan } from '@/core/advice';
import { deletePlan, keepPlan, notify, plansStore, presentPlan, takeUpPlan } from '@/stores';
import { Button, chooseFile, saveFile, Sheet, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { briefWords } from './wording';

/** Files larger than this are no plan, bytes. */
const MOST_BYTES = 200_000;
const LONGEST_NAME = 60;

function Kept({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const units = useUnits();
  const tones = useTones();
  const words = briefWords(plan.brief, units, undefined);
  return (
    <View style={[styles.plan, { borderTopColor: tones.rule }]} testID={`plan-${plan.name}`}>
      <Text bold>{plan.name}</Text>
      <Text faint kind="small">
        {words.species}, {words.depth}, {words.water}. {plan.rig.name}.
      </Text>
      <View style={styles.row}>
        <Button
          label="Use again"
          spoken={`Use ${plan.name} again`}
          onPress={() => {
            takeUpPlan(plan);
            onClose();
          }}
        />
        <Button
          tone="quiet"
          label="Duplicate"
          spoken={`Duplicate ${plan.name}`}
          onPress={() => notify(keepPlan(plan) ?? `Duplicated “${plan.name}”.`)}
        />
        <Button
          tone="quiet"
          label="Save as a file"
          spoken={`Save ${plan.name} as a file`}
          onPress={() =>
            saveFile(
              `${plan.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.json`,
              planToJson(plan),
              'application/json',
            )
          }
        />
        <Button
          tone="quiet"
          label="Delete"
          spoken={`Delete ${plan.name}`}
          onPress={() => deletePlan(plan.name)}
        />
      </View>
    </View>
  );
}

/** Plans kept on the device: keep this one, take one up again, duplicate, pass on. */
export function PlansSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { plans } = useStore(plansStore);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const openFile = async (): Promise<void> => {
    const file = await chooseFile('application/json,.json');
    if (!file) return;
    const read =
      file.size > MOST_BYTES ? 'This file is too long to be a plan.' : planFromJson(await file.text());
    setProblem(typeof read === 'string' ? read : keepPlan(read));
  };
  return (
    <Sheet title="Plans" open={open} onClose={onClose}>
      <TextInput
        mode="outlined"
        label="Name of this plan"
        accessibilityLabel="Name of this plan"
        value={name}
        maxLength={LONGEST_NAME}
        onChangeText={setName}
        testID="plan-name"
      />
      <View style={styles.row}>
        <Button
          tone="main"
          label="Keep this plan"
          onPress={() => {
            setProblem(keepPlan(presentPlan(name || 'Plan')));
            setName('');
          }}
          testID="keep-plan"
        />
        <Button label="Open a plan file" onPress={() => void openFile()} />
      </View>
      {problem && <Text role="alert">{problem}</Text>}
      {plans.length === 0 ? (
        <Text faint>No plan kept yet. Keep this one and it is two taps away tomorrow.</Text>
      ) : (
        plans.map((plan) => <Kept key={plan.name} plan={plan} onClose={onClose} />)
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  plan: { borderTopWidth: 1, paddingTop: 10, gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
