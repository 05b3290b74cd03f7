import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Modal, Portal } from 'react-native-paper';
import { IconButton } from './Button';
import { Text } from './Text';
import { TonesContext, useTones, WIDE_PX } from './theme';

interface Props {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}

/** A page that slides over the foot of the screen on a phone and stands in the middle of a wide one. */
export function Sheet({ title, open, onClose, children }: Props) {
  const tones = useTones();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE_PX;
  if (!open) return null;
  return (
    <Portal>
      {/* A portal is drawn outside the tree it is written in. */}
      <TonesContext.Provider value={tones}>
        <Modal
          visible
          onDismiss={onClose}
          style={wide ? styles.middle : styles.foot}
          contentContainerStyle={[
            styles.sheet,
            wide ? styles.card : styles.drawer,
            { backgroundColor: tones.page, borderColor: tones.rule, maxHeight: height * 0.86 },
          ]}
        >
          <View role="dialog" aria-modal aria-label={title} style={styles.inside}>
            <View style={[styles.head, { borderBottomColor: tones.rule }]}>
              <Text kind="heading" style={styles.title}>
                {title}
              </Text>
              <IconButton icon="close" label="Close" onPress={onClose} />
            </View>
            <ScrollView contentContainerStyle={styles.body}>{children}</ScrollView>
          </View>
        </Modal>
      </TonesContext.Provider>
    </Portal>
  );
}

const styles = StyleSheet.create({
  middle: { justifyContent: 'center', alignItems: 'center' },
  foot: { justifyContent: 'flex-end', marginBottom: 0 },
  sheet: { borderWidth: 1 },
  card: { width: 560, borderRadius: 6 },
  drawer: { width: '100%', borderTopLeftRadius: 10, borderTopRightRadius: 10 },
  inside: { flexShrink: 1 },
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
