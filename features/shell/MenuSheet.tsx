import { useRouter } from 'expo-router';
import { useStore } from 'zustand';
import { preferenceStore, setTheme, setUnits, unitsOf } from '@/stores';
import { Button, Chips, Sheet, Text } from '@/ui';
import { appUpdateStore, type AppUpdate } from './appUpdate';

const OFFLINE_WORDS: Record<AppUpdate['offline'], string> = {
  saved: 'The app is saved on this device. All of it works with no signal.',
  saving: 'The app is being saved on this device. It then works with no signal.',
  off: 'This browser has not saved the app. Keep this page open where there is no signal.',
};

/** Whether the address is one on which a browser keeps things back. */
const insecure = (): boolean => typeof window !== 'undefined' && window.isSecureContext === false;

interface Props {
  open: boolean;
  onClose: () => void;
  /** Opens what is kept on this device. */
  onKept: () => void;
}

export function MenuSheet({ open, onClose, onKept }: Props) {
  const preferences = useStore(preferenceStore);
  const offline = useStore(appUpdateStore, (s) => s.offline);
  const router = useRouter();
  return (
    <Sheet title="Units, light and help" open={open} onClose={onClose}>
      <Text>Units</Text>
      <Chips
        label="Units"
        value={unitsOf(preferences)}
        onChange={setUnits}
        options={[
          { value: 'metric', label: 'Metres, km/h, °C' },
          { value: 'feet', label: 'Feet, mph, °F' },
        ]}
      />
      <Text>Light</Text>
      <Chips
        label="Light"
        value={preferences.theme}
        onChange={setTheme}
        options={[
          { value: 'auto', label: 'As the device' },
          { value: 'day', label: 'Day' },
          { value: 'dusk', label: 'Dusk' },
          { value: 'night', label: 'Night red' },
        ]}
      />
      <Button
        label="Guide"
        onPress={() => {
          onClose();
          router.push('/guide');
        }}
        testID="go-guide"
      />
      <Button
        label="Train your eye"
        onPress={() => {
          onClose();
          router.push('/train');
        }}
        testID="go-train"
      />
      <Button
        label="Check your eyes in this light"
        onPress={() => {
          onClose();
          router.push('/eyes');
        }}
        testID="eye-check"
      />
      <Button label="Saved on this device" onPress={onKept} testID="kept" />
      <Text testID="offline-state">{OFFLINE_WORDS[offline]}</Text>
      {insecure() && (
        <Text>
          This address is plain http. The browser then does not save the app, read the tilt sensor or keep the
          screen awake. Serve it over https to have them.
        </Text>
      )}
      <Text faint kind="small">
        Not for navigation. Keep a look-out: whoever steers does not tune. Never let a transducer transmit out
        of the water. The app reads marks. It cannot tell the kind of fish. Follow local rules on sizes,
        seasons and gear.
      </Text>
    </Sheet>
  );
}
