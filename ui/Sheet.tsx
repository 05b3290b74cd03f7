import type { ReactNode } from 'react';
import { Modal, Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { IconButton } from './Button';
import { Text } from './Text';
import { useTones } from './theme';
import { useBackCloses } from './useBackCloses';
import { useWide } from './useWide';

interface Props {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}

/**
 * A page that slides over the foot of the screen on a phone and stands in the middle of a wide one. The platform's own modal holds
 * the focus within it, gives it back, and closes on Escape; so does the browser’s back.
 */
export function Sheet({ title, open, onClose, children }: Props) {
  const tones = useTones();
  const { height } = useWindowDimensions();
  const wide = useWide();
  const close = useBackCloses(open, onClose);
  if (!open) return null;
  return (
    <Modal visible transparent animationType="none" onRequestClose={close} aria-label={title}>
      <View style={[styles.over, wide ? styles.middle : styles.foot]}>
        <Pressable
          style={[StyleSheet.absoluteFill, styles.shade]}
          onPress={close}
          tabIndex={-1}
          aria-hidden
          testID="sheet-shade"
        />
        <View
          style={[
            styles.sheet,
            wide ? styles.card : styles.drawer,
            { backgroundColor: tones.page, borderColor: tones.rule, maxHeight: height * 0.86 },
          ]}
        >
          <View style={[styles.head, { borderBottomColor: tones.rule }]}>
            <Text kind="heading" style={styles.title}>
              {title}
            </Text>
            <IconButton icon="close" label="Close" onPress={close} />
          </View>
          <ScrollView contentContainerStyle={styles.body}>{children}</ScrollView>
        </View>
      </View>
    </Modal>
  );
}

const styles = StyleSheet.create({
  over: { flex: 1 },
  shade: { backgroundColor: 'rgba(0, 0, 0, 0.5)' },
  middle: { justifyContent: 'center', alignItems: 'center' },
  foot: { justifyContent: 'flex-end' },
  sheet: { borderWidth: 1 },
  card: { width: 560, borderRadius: 6 },
  drawer: { width: '100%', borderTopLeftRadius: 10, borderTopRightRadius: 10 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingLeft: 20,
    paddingRight: 4,
    borderBottomWidth: 1,
  },
  title: { flexShrink: 1 },
  body: { padding: 20, gap: 18 },
});
