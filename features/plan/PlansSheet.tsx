import { LARGEST_PLAN_FILE, problemOf, readPlanFile, writePlanFile, type Plan } from '@/core/formats';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { deletePlan, keepPlan, notify, plansStore, presentPlan, renamePlan, takeUpPlan } from '@/stores';
import { Button, chooseFile, saveFile, Sheet, Text, useTones } from '@/ui';
import { useUnits } from '../units';
import { briefWords } from '../words/brief';

const LONGEST_NAME = 60;

function Kept({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const units = useUnits();
  const tones = useTones();
  const words = briefWords(plan.brief, units, undefined);
  const [naming, setNaming] = useState<string | null>(null);
  return (
    <View style={[styles.plan, { borderTopColor: tones.rule }]} testID={`plan-${plan.name}`}>
      {naming === null ? (
        <Text bold>{plan.name}</Text>
      ) : (
        <View style={styles.row}>
          <TextInput
            mode="outlined"
            label="New name"
            accessibilityLabel={`New name of ${plan.name}`}
            value={naming}
            maxLength={LONGEST_NAME}
            onChangeText={setNaming}
            style={styles.grow}
            testID="new-name"
          />
          <Button
            label="Save"
            spoken="Save the new name"
            onPress={() => {
              const wrong = problemOf(renamePlan(plan.id, naming));
              if (wrong) notify(wrong);
              else setNaming(null);
            }}
            testID="save-name"
          />
        </View>
      )}
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
          label="Rename"
          spoken={`Rename ${plan.name}`}
          onPress={() => setNaming(plan.name)}
        />
        <Button
          tone="quiet"
          label="Duplicate"
          spoken={`Duplicate ${plan.name}`}
          onPress={() => notify(problemOf(keepPlan(plan)) ?? `Duplicated “${plan.name}”.`)}
        />
        <Button
          tone="quiet"
          label="Save as a file"
          spoken={`Save ${plan.name} as a file`}
          onPress={() =>
            saveFile(
              `${plan.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.json`,
              writePlanFile(plan),
              'application/json',
            )
          }
        />
        <Button
          tone="quiet"
          label="Delete"
          spoken={`Delete ${plan.name}`}
          onPress={() => deletePlan(plan.id)}
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
    if (file.size > LARGEST_PLAN_FILE) return setProblem('This file is too long to be a plan.');
    const read = readPlanFile(await file.text());
    setProblem(problemOf(read.ok ? keepPlan(read.value) : read));
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
          label="Save this plan"
          onPress={() => {
            setProblem(problemOf(keepPlan(presentPlan(name || 'Plan'))));
            setName('');
          }}
          testID="keep-plan"
        />
        <Button label="Open a plan file" onPress={() => void openFile()} />
      </View>
      {problem && <Text role="alert">{problem}</Text>}
      {plans.length === 0 ? (
        <Text faint>Your saved plans will be here. Save this one, and it is two taps away tomorrow.</Text>
      ) : (
        plans.map((plan) => <Kept key={plan.id} plan={plan} onClose={onClose} />)
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  plan: { borderTopWidth: 1, paddingTop: 10, gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  grow: { flexGrow: 1, minWidth: 160 },
});
