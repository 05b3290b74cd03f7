import { Snackbar } from 'react-native-paper';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { dismiss, noticeStore } from '@/stores';
import { useTones } from '@/ui';

/** Long enough to read a sentence and press undo with a wet thumb, ms. */
const SHOWN_MS = 9000;

/** What the app has to say, one at a time. */
export function Notices() {
  const tones = useTones();
  const notice = useStore(noticeStore, (s) => s.notices[0]);
  return (
    <View role="status" aria-live="polite">
      {notice && (
        <Snackbar
          key={notice.id}
          visible
          duration={SHOWN_MS}
          onDismiss={() => dismiss(notice.id)}
          style={{ backgroundColor: tones.ink, marginBottom: 72 }}
          theme={{
            colors: { inverseOnSurface: tones.ground, inversePrimary: tones.dark ? '#7a2b05' : '#ffb78a' },
          }}
          action={
            notice.undo
              ? { label: 'Undo', onPress: notice.undo }
              : { label: 'Close', onPress: () => dismiss(notice.id) }
          }
        >
          {notice.text}
        </Snackbar>
      )}
    </View>
  );
}
