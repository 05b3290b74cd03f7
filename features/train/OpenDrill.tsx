import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { readDrillFile } from '@/core/formats/drillFile';
import type { Trained } from '@/core/training/drill';
import type { DrillSet } from '@/core/training/drillSet';
import { notify, trainingStore } from '@/stores';
import { readDrillLink } from '@/stores/drillSet';
import { BigButton, Button, chooseFile, Sheet, Text } from '@/ui';
import { DRILL_WORDS } from '../words/training';
import { AnswersCompared } from './AnswersCompared';
import { startSitting } from './sittingStore';

const forget = (): void => history.replaceState(history.state, '', location.pathname + location.search);

/** A drill that another gave, by link or by file: asked about before it begins. */
export function OpenDrill({ palettes }: Pick<Trained, 'palettes'>) {
  const [set, setSet] = useState<DrillSet | null>(null);
  const sittings = useStore(trainingStore, (s) => s.sittings);
  useEffect(() => {
    const look = (): void =>
      void readDrillLink(location.hash).then((read) => {
        if (!read) return;
        forget();
        if (read.ok) setSet(read.value);
        else notify(read.problem);
      });
    look();
    window.addEventListener('hashchange', look);
    return () => window.removeEventListener('hashchange', look);
  }, []);
  const open = async (): Promise<void> => {
    const file = await chooseFile('.json,application/json');
    if (!file) return;
    const read = readDrillFile(await file.text());
    if (read.ok) setSet(read.value);
    else notify(read.problem);
  };
  const answered = set && sittings.find((s) => s.answers.some((a) => a.seed === set.rounds[0]!.seed));
  const close = (): void => setSet(null);
  return (
    <View style={styles.row}>
      <Button label="Open a drill someone gave you" onPress={() => void open()} testID="open-drill" />
      <Sheet title="A drill for you" open={set !== null} onClose={close}>
        {set && (
          <>
            <Text>
              {set.by || 'Someone'} gives you {set.rounds.length} rounds of “{DRILL_WORDS[set.drill].title}”.
              They are made on the boat and water in it. Your own boat and plan stay as they are.
            </Text>
            {answered && <AnswersCompared set={set} mine={answered.answers} />}
            <BigButton
              tone="main"
              label={answered ? 'Answer them again' : 'Answer them'}
              onPress={() => {
                startSitting(set.drill, { brief: set.brief, rig: set.rig, palettes }, set);
                close();
              }}
              testID="take-drill"
            />
          </>
        )}
      </Sheet>
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row' } });
