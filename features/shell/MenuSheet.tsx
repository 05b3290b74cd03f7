import { useStore } from 'zustand';
import { preferenceStore, setTheme, setUnits, unitsOf } from '@/stores';
import { Chips, Sheet, Text } from '@/ui';

/** What a browser keeps back on an address that is not secure. */
const off = (): boolean => typeof window !== 'undefined' && window.isSecureContext === false;

export function MenuSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const preferences = useStore(preferenceStore);
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
      {off() && (
        <Text>
          This address is not secure (plain http on a network), so the browser keeps back working without a
          network, the tilt sensor and keeping the screen awake. All else works. Serve the app over https, or
          open it on this device itself, to have them.
        </Text>
      )}
      <Text faint kind="small">
        Not for navigation. Keep a look-out: whoever steers does not tune. Never let a transducer transmit out
        of the water. What a mark is called here is a reading with a stated confidence, never an
        identification; sizes, seasons and gear are local law.
      </Text>
    </Sheet>
  );
}
