import { createPortal } from 'react-dom';
import { usePathname } from 'expo-router';
import { createElement } from 'react';
import { Snackbar } from 'react-native-paper';
import { useStore } from 'zustand';
import { dismiss, noticeStore } from '@/stores';
import { useTones } from '@/ui';

/** Long enough to read a sentence and press undo with a wet thumb, ms. */
const SHOWN_MS = 9000;

/** Over everything, sheets too: what was just done may have to be undone. */
const LAYER = { position: 'fixed', left: 0, right: 0, bottom: 0, zIndex: 20000, pointerEvents: 'none' };

/** Room for the places below; on Deck for its big button too, px. */
const OVER_TABS_PX = 72;
const OVER_DECK_PX = 150;

/** What the app has to say, the newest first, one at a time. */
export function Notices() {
  const path = usePathname();
  const tones = useTones();
  const notice = useStore(noticeStore, (s) => s.notices[0]);
  const layer = createElement(
    'div',
    { role: 'status', 'aria-live': 'polite', style: LAYER },
    notice && (
      <Snackbar
        key={notice.id}
        visible
        duration={SHOWN_MS}
        onDismiss={() => dismiss(notice.id)}
        style={{
          // By night a bright block would blind.
          backgroundColor: tones.dark ? tones.page : tones.ink,
          borderWidth: 1,
          borderColor: tones.ink,
          marginBottom: path === '/deck' ? OVER_DECK_PX : OVER_TABS_PX,
          pointerEvents: 'auto',
        }}
        theme={{
          colors: {
            inverseOnSurface: tones.dark ? tones.ink : tones.ground,
            inversePrimary: tones.dark ? tones.buoy : '#ffb78a',
          },
        }}
        action={
          notice.undo
            ? { label: 'Undo', onPress: notice.undo }
            : { label: 'Close', onPress: () => dismiss(notice.id) }
        }
      >
        {notice.text}
      </Snackbar>
    ),
  );
  return typeof document === 'undefined' ? layer : createPortal(layer, document.body);
}
