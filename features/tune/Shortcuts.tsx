import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CONTROLS, type ControlName, type Settings } from '@/core/picture';
import {
  backToStart,
  changeSettings,
  makeMove,
  passStore,
  setPlaying,
  showBank,
  startWalk,
  tuningStore,
  undoTurn,
} from '@/stores';
import { Sheet, Text, useTones } from '@/ui';
import { turnCutaway } from './cursorStore';

/** Turns a dial by its thumb's step, up (1) or down (−1). */
function turn(control: ControlName, way: 1 | -1): void {
  const { setting, stride, lowest } = CONTROLS[control];
  const { settings } = passStore.getState();
  const now = settings[setting as keyof Settings] as number | null;
  changeSettings({ [setting]: Number(((now ?? lowest) + way * stride).toFixed(3)) });
}

/** Keys of the bench: what each does, in words and in deed. */
const KEYS: readonly { key: string; does: string; act: () => void }[] = [
  { key: 'g', does: 'Gain up', act: () => turn('gain', 1) },
  { key: 'G', does: 'Gain down', act: () => turn('gain', -1) },
  { key: 'r', does: 'Range deeper', act: () => turn('range', 1) },
  { key: 'R', does: 'Range shallower', act: () => turn('range', -1) },
  { key: 'f', does: 'First colour up', act: () => turn('firstColour', 1) },
  { key: 'F', does: 'First colour down', act: () => turn('firstColour', -1) },
  { key: 'n', does: 'Noise rejection up', act: () => turn('noiseRejection', 1) },
  { key: 'N', does: 'Noise rejection down', act: () => turn('noiseRejection', -1) },
  { key: 'c', does: 'Chart faster', act: () => turn('chartSpeed', 1) },
  { key: 'C', does: 'Chart slower', act: () => turn('chartSpeed', -1) },
  { key: 'u', does: 'Undo the last turn', act: undoTurn },
  { key: 's', does: 'Back to the start setup', act: backToStart },
  {
    key: 'm',
    does: 'Make the next move',
    act: () => {
      const move = tuningStore.getState().next?.moves[0];
      if (move) makeMove(move);
    },
  },
  { key: 't', does: 'Tune it, one dial at a time', act: () => void startWalk() },
  { key: 'w', does: 'Show or hide the true water', act: turnCutaway },
  { key: 'a', does: 'Show way A', act: () => showBank('a') },
  { key: 'b', does: 'Show way B', act: () => showBank('b') },
  { key: 'p', does: 'Play or pause', act: () => setPlaying(!passStore.getState().playing) },
];

/** Where keys are typed, they are text. */
const types = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target.tagName === 'TEXTAREA' ||
    (target instanceof HTMLInputElement && !['range', 'radio', 'checkbox'].includes(target.type)));

/** The keys of the bench, and a list of them on the question mark. */
export function Shortcuts() {
  const tones = useTones();
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || types(event.target)) return;
      // A sheet over the bench has the keys to itself.
      if (document.querySelector('[role="dialog"], [aria-modal="true"]')) return;
      if (event.key === '?') return setOpen(true);
      KEYS.find(({ key }) => key === event.key)?.act();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return (
    <Sheet title="Keys of the bench" open={open} onClose={() => setOpen(false)}>
      <View role="list" aria-label="Keys of the bench">
        {KEYS.map(({ key, does }) => (
          <View key={key} role="listitem" style={[styles.row, { borderTopColor: tones.rule }]}>
            <Text kind="figure" style={styles.key}>
              {key}
            </Text>
            <Text>{does}</Text>
          </View>
        ))}
      </View>
      <Text faint kind="small">
        On the picture: arrows point at a place, plus and minus zoom.
      </Text>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 16, borderTopWidth: 1, paddingVertical: 6, alignItems: 'center' },
  key: { width: 32 },
});
