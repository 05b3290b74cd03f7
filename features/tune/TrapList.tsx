import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { trapLesson, TRAPS, type Trap } from '@/core/bench/traps';
import { passStore, takeTrap } from '@/stores';
import { Text, TOUCH_PX, useTones } from '@/ui';
import { TRAP_WORDS } from '../words/traps';
import { openCutaway } from './cursorStore';

/** Lessons of two minutes: a trap seen two ways over the same pings. */
export function TrapList({ onTaken }: { onTaken: () => void }) {
  const tones = useTones();
  const rig = useStore(passStore, (s) => s.pass.rig);
  const now = useStore(passStore, (s) => s.trap);
  const take = (trap: Trap): void => {
    const lesson = trapLesson(trap, rig);
    takeTrap(trap, lesson);
    openCutaway(lesson.cutaway);
    onTaken();
  };
  return (
    <View role="list" aria-label="Traps">
      {TRAPS.map((trap) => (
        <View key={trap} role="listitem">
          <Pressable
            role="button"
            aria-current={trap === now ? 'true' : undefined}
            onPress={() => take(trap)}
            style={[styles.trap, { borderTopColor: tones.rule }]}
            testID={`trap-${trap}`}
          >
            <Text bold>{TRAP_WORDS[trap].title}</Text>
            <Text faint kind="small">
              {TRAP_WORDS[trap].learn}
            </Text>
          </Pressable>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  trap: { borderTopWidth: 1, minHeight: TOUCH_PX, paddingVertical: 8, justifyContent: 'center' },
});
