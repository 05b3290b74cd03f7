import { useCallback, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { problemOf } from '@/core/formats';
import { asideName, bringBack, forgetAside, setAsideThings, type Aside } from '@/stores';
import { Button, saveFile, Sheet, Text, useTones } from '@/ui';
import { BackupPart } from './BackupPart';

/** What is kept on this device: all of it as a backup, and what was set aside because it could not be opened. */
export function KeptSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const tones = useTones();
  const [things, setThings] = useState<readonly Aside[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const look = useCallback(
    () =>
      setAsideThings().then(
        (found) => {
          setThings(found);
          setProblem(null);
        },
        () => setProblem('The storage does not answer. Close other tabs of this app, then try again.'),
      ),
    [],
  );
  useEffect(() => {
    if (open) void look();
  }, [open, look]);
  const back = async (thing: Aside): Promise<void> => {
    const problem = problemOf(await bringBack(thing));
    await look();
    if (problem) setProblem(problem);
  };
  return (
    <Sheet title="Saved on this device" open={open} onClose={onClose}>
      <BackupPart onDone={() => void look()} onLeave={onClose} />
      <Text bold>Set aside</Text>
      {problem && <Text role="alert">{problem}</Text>}
      {things === null ? (
        !problem && <Text faint>Looking…</Text>
      ) : things.length === 0 ? (
        <Text faint>Nothing is set aside. Anything that cannot be opened comes here and is not lost.</Text>
      ) : (
        <View role="list" aria-label="Set aside">
          {things.map((thing, k) => (
            <View
              key={thing.key}
              role="listitem"
              style={[styles.thing, { borderTopColor: tones.rule }]}
              testID={`aside-${k}`}
            >
              <Text>
                {asideName(thing)}, {Math.max(1, Math.round(thing.text.length / 1000))} kB
              </Text>
              <Text faint kind="small" numberOfLines={2}>
                {thing.text.slice(0, 120)}
              </Text>
              <View style={styles.row}>
                <Button label="Bring back" onPress={() => void back(thing)} />
                <Button
                  label="Export"
                  onPress={() => saveFile(`set-aside-${k + 1}.json`, thing.text, 'application/json')}
                />
                <Button
                  tone="quiet"
                  label="Delete"
                  spoken={`Delete what was set aside: ${asideName(thing)}`}
                  onPress={() => void forgetAside(thing.key).then(look)}
                />
              </View>
            </View>
          ))}
        </View>
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  thing: { borderTopWidth: 1, paddingVertical: 8, gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
