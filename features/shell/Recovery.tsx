import { type ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { ScrollView, StyleSheet, View } from 'react-native';
import { notify, startWithoutPlan } from '@/stores';
import { Button, Text } from '@/ui';
import { exportEverything } from './exportEverything';

/** Longest piece of a failure's own words that is shown, characters. */
const LONGEST_WORDS = 200;

function Fallback({ error, resetErrorBoundary }: FallbackProps) {
  const words = (error instanceof Error ? error.message : String(error)).slice(0, LONGEST_WORDS);
  const afresh = async (): Promise<void> => {
    try {
      await startWithoutPlan();
      notify('Your plan is set aside, not deleted. Find it in the menu under Saved on this device.');
    } catch {
      notify('The storage does not answer. Nothing was set aside. Try again.');
    }
    resetErrorBoundary();
  };
  return (
    <ScrollView contentContainerStyle={styles.page} role="alert">
      <Text kind="title">This screen stopped</Text>
      <Text>
        Your data is safe on this device. Try again. If it stops again, start without the present plan: it is
        set aside and can be brought back.
      </Text>
      <Text faint kind="small">
        {words}
      </Text>
      <View style={styles.row}>
        <Button tone="main" label="Try again" onPress={resetErrorBoundary} testID="try-again" />
        <Button label="Start without this plan" onPress={() => void afresh()} testID="start-afresh" />
        <Button label="Export all data" onPress={() => void exportEverything()} testID="export-all" />
      </View>
    </ScrollView>
  );
}

/** What is drawn inside may fail without taking the rest with it: it says so, and how to go on. @param of changes when another thing is inside */
export function Recovery({ of, children }: { of: string; children: ReactNode }) {
  return (
    <ErrorBoundary FallbackComponent={Fallback} resetKeys={[of]}>
      {children}
    </ErrorBoundary>
  );
}

const styles = StyleSheet.create({
  page: { padding: 24, gap: 14 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});
