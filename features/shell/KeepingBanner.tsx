import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { keepingStore, retryKeeping, type KeepingStatus } from '@/stores';
import { Button, Text, useTones } from '@/ui';
import { exportEverything } from './exportEverything';

function words({ state, waiting }: KeepingStatus): string | null {
  const changes = `${waiting} ${waiting === 1 ? 'change is' : 'changes are'}`;
  switch (state) {
    case 'ok':
      return null;
    case 'full':
      return `Your device is full. ${changes} held in memory until there is room. Free some space, or export.`;
    case 'none':
      return 'This browser saves nothing here. What you do is lost when you close the page. Export what you need.';
    case 'silent':
      return 'The storage does not answer. What you saved is not shown, and nothing new is saved.';
  }
}

/** Says, once and as long as it is so, that something is not kept; and the ways on. */
export function KeepingBanner() {
  const tones = useTones();
  const status = useStore(keepingStore);
  const said = words(status);
  if (!said) return null;
  return (
    <View
      role="alert"
      style={[styles.banner, { borderColor: tones.danger, backgroundColor: tones.page }]}
      testID="keeping-banner"
    >
      <Text>{said}</Text>
      <View style={styles.row}>
        <Button label="Try again" onPress={() => void retryKeeping()} />
        <Button label="Export all data" onPress={() => void exportEverything()} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  banner: { borderWidth: 2, padding: 10, gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
