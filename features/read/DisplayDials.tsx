import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { unitOf } from '@/core/rig';
import { passStore } from '@/stores';
import { Chips } from '@/ui';
import { ControlDial } from '../tune/ControlDial';
import { PaletteChips } from '../tune/PaletteChips';
import { controlName } from '../words/controls';

/** What changes how the pass is drawn, and none of its pings. */
const NAMES = ['gain', 'firstColour', 'colourSpread', 'noiseRejection', 'otherSounders'] as const;
type Shown = (typeof NAMES)[number] | 'palette';

/** Gain and colours of the picture that is read: what was read stays as it is. */
export function DisplayDials() {
  const unit = useStore(passStore, (s) => unitOf(s.pass.rig));
  const [shown, setShown] = useState<Shown>('gain');
  return (
    <View style={styles.dials} role="group" aria-label="Gain and colours" testID="display-dials">
      <ScrollView horizontal showsHorizontalScrollIndicator={false} style={styles.row}>
        <Chips
          label="Dial"
          value={shown}
          options={[
            ...NAMES.map((name) => ({ value: name as Shown, label: controlName(name, unit) })),
            { value: 'palette' as Shown, label: 'Palette' },
          ]}
          onChange={setShown}
          nowrap
          compact
        />
      </ScrollView>
      {shown === 'palette' ? <PaletteChips /> : <ControlDial name={shown} />}
    </View>
  );
}

const styles = StyleSheet.create({
  dials: { paddingHorizontal: 8, paddingVertical: 6, gap: 6 },
  row: { flexGrow: 0 },
});
