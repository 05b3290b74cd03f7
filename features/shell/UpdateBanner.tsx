import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { Button, Text, useTones } from '@/ui';
import { appUpdateStore, putOffUpdate, takeUpdate, type AppUpdate } from './appUpdate';

const WORDS: Record<Exclude<AppUpdate['update'], 'none'>, { said: string; button: string }> = {
  ready: { said: 'A new version of the app is ready. What you saved stays.', button: 'Update now' },
  newer: { said: 'There is a new version of the app. What you saved stays.', button: 'Reload' },
  replaced: { said: 'The app was updated in another tab. Reload this one too.', button: 'Reload' },
};

/** Offers a newer version; it never forces one on someone in the middle of something. */
export function UpdateBanner() {
  const tones = useTones();
  const update = useStore(appUpdateStore, (s) => s.update);
  if (update === 'none') return null;
  const { said, button } = WORDS[update];
  return (
    <View
      role="status"
      style={[styles.banner, { borderColor: tones.water, backgroundColor: tones.page }]}
      testID="update-banner"
    >
      <Text>{said}</Text>
      <View style={styles.row}>
        <Button tone="main" label={button} onPress={takeUpdate} testID="take-update" />
        <Button tone="quiet" label="Later" onPress={putOffUpdate} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  banner: { borderBottomWidth: 2, padding: 10, gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
