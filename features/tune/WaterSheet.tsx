import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useStore } from 'zustand';
import { MyWater } from './MyWater';
import { TrapList } from './TrapList';
import { SceneList } from './SceneList';
import { passStore, planStore, takeBriefToBench, takeRecordingToBench, takeSceneToBench } from '@/stores';
import { Button, chooseFile, Chips, Sheet, Text } from '@/ui';

/** Where the water on the bench comes from: the plan, a named scene, a recording of the user's own. */
export function WaterSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [tab, setTab] = useState<'named' | 'mine' | 'traps'>('named');
  const [problem, setProblem] = useState<string | null>(null);
  const router = useRouter();
  const [opening, setOpening] = useState(false);
  const source = useStore(passStore, (s) => s.pass.source);
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
    const taken = await takeRecordingToBench(file);
    setOpening(false);
    if (!taken.ok) return setProblem(taken.problem);
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
      <Button
        label="A picture of your own screen"
        onPress={() => {
          onClose();
          router.push('/screen');
        }}
        testID="own-screen"
      />
      {problem && <Text role="alert">{problem}</Text>}
      <Chips
        label="Other water"
        value={tab}
        options={[
          { value: 'named', label: 'Named water' },
          { value: 'mine', label: 'My water' },
          { value: 'traps', label: 'Traps' },
        ]}
        onChange={setTab}
      />
      {tab === 'mine' && <MyWater />}
      {tab === 'named' && <SceneList onTake={(id) => take(() => takeSceneToBench(id))} />}
      {tab === 'traps' && <TrapList onTaken={onClose} />}
    </Sheet>
  );
}
