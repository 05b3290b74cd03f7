import { StyleSheet, View } from 'react-native';
import type { Brief } from '@/core/advice';
import { Text } from '@/ui';
import { cautionsFor } from '../words/cautions';

/** The cautions that apply to a brief, a line each. */
export function Cautions({ brief }: { brief: Brief }) {
  return (
    <View style={styles.block} role="region" aria-label="Cautions">
      <Text kind="heading">Take care</Text>
      {cautionsFor(brief).map((line) => (
        <Text key={line} faint kind="small">
          {line}
        </Text>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ block: { gap: 4 } });
