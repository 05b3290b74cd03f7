import { StyleSheet, View } from 'react-native';
import { Button, Text } from '@/ui';
import { exportEverything } from './exportEverything';

/** In place of a screen whose piece of the app is not there: reloading brings the whole of one version. */
export const PieceMissing = () => (
  <View style={styles.page} role="alert">
    <Text kind="title">This page could not be loaded</Text>
    <Text>There is no signal, or the app was updated meanwhile. Reload the app. What you saved stays.</Text>
    <View style={styles.row}>
      <Button tone="main" label="Reload" onPress={() => window.location.reload()} testID="reload" />
      <Button label="Export all data" onPress={() => void exportEverything()} />
    </View>
  </View>
);

const styles = StyleSheet.create({
  page: { padding: 24, gap: 14 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
