import { StyleSheet, View } from 'react-native';
import { Button } from './Button';
import { Text } from './Text';

interface Props {
  /** What is not here. */
  title: string;
  /** What to do about it. */
  hint: string;
  action?: { label: string; onPress: () => void };
}

/** Says that there is nothing yet, or that something failed, and what to do next. */
export function EmptyState({ title, hint, action }: Props) {
  return (
    <View style={styles.box}>
      <Text kind="heading">{title}</Text>
      <Text faint>{hint}</Text>
      {action && <Button tone="main" {...action} />}
    </View>
  );
}

const styles = StyleSheet.create({ box: { padding: 24, gap: 12, alignItems: 'flex-start' } });
