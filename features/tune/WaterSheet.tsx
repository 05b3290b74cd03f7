import { useEffect, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { sceneNames, type SceneName } from './sceneNames';
import {
  openRecordingFile,
  passStore,
  planStore,
  takeBriefToBench,
  takeSceneToBench,
  takeToBench,
} from '@/stores';
import { Button, chooseFile, Sheet, Text, TOUCH_PX, useTones } from '@/ui';

/** Where the water on the bench comes from: the plan, a named scene, a recording of the user's own. */
export function WaterSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const tones = useTones();
  const [scenes, setScenes] = useState<readonly SceneName[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [opening, setOpening] = useState(false);
  const source = useStore(passStore, (s) => s.pass.source);
  useEffect(() => {
    if (!open || scenes) return;
    sceneNames().then(setScenes, (error: unknown) =>
      setProblem(error instanceof Error ? error.message : String(error)),
    );
  }, [open, scenes]);
  const take = (how: () => void): void => {
    setProblem(null);
    how();
    onClose();
  };
  const openFile = async (): Promise<void> => {
    const file = await chooseFile('.nc,.h5,application/x-hdf5');
    if (!file) return;
    setProblem(null);
    setOpening(true);
    const opened = await openRecordingFile(file);
    setOpening(false);
    if (!opened.ok) return setProblem(opened.problem);
    const { source: recorded, faceIds } = opened.value;
    const { pass, settings } = passStore.getState();
    // A recording has beams of its own.
    const faceId = faceIds.includes(settings.faceId) ? settings.faceId : faceIds[0]!;
    takeToBench({ source: recorded, rig: pass.rig }, { ...settings, faceId, blend: null });
    onClose();
  };
  return (
    <Sheet title="Water on the bench" open={open} onClose={onClose}>
      <Button
        tone={source.kind === 'brief' ? 'main' : 'plain'}
        label="Your plan’s water"
        onPress={() => {
          const { brief } = planStore.getState();
          const { pass, settings } = passStore.getState();
          take(() => takeBriefToBench(brief, pass.rig, settings));
        }}
      />
      <Button
        label={opening ? 'Opening the recording…' : 'Open a recording file'}
        disabled={opening}
        onPress={() => void openFile()}
        testID="open-recording"
      />
      {problem && <Text role="alert">{problem}</Text>}
      <Text bold>Named water, to learn on</Text>
      {!scenes && !problem && <Text faint>Reading the list…</Text>}
      <View role="list" aria-label="Named water">
        {scenes?.map(({ id, title, teaches }) => (
          <View key={id} role="listitem">
            <Pressable
              role="button"
              aria-current={source.kind === 'scene' && source.sceneId === id ? 'true' : undefined}
              onPress={() => take(() => takeSceneToBench(id))}
              style={[styles.scene, { borderTopColor: tones.rule }]}
              testID={`scene-${id}`}
            >
              <Text bold>{title}</Text>
              <Text faint kind="small">
                {teaches}
              </Text>
            </Pressable>
          </View>
        ))}
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  scene: { borderTopWidth: 1, minHeight: TOUCH_PX, paddingVertical: 8, justifyContent: 'center' },
});
