import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { passStore, viewOf, viewStore } from '@/stores';
import { beep, Text, useTones } from '@/ui';
import { useUnits } from '../units';

/** Calls out, once heard and as long as it lasts seen, that the newest bed lies shallower than the user wants. */
export function ShallowAlarm() {
  const tones = useTones();
  const { show } = useUnits();
  const limitM = useStore(passStore, (s) => s.settings.shallowAlarmM);
  const bedM = useStore(viewStore, (s) => viewOf(s, 'tune').picture?.bedM.at(-1) ?? NaN);
  const shallow = limitM !== null && bedM < limitM;
  useEffect(() => {
    if (shallow) beep();
  }, [shallow]);
  if (!shallow) return null;
  return (
    <View style={[styles.alarm, { backgroundColor: tones.danger }]} role="alert" testID="shallow-alarm">
      <Text bold style={{ color: tones.ground }}>
        Shallow: {show('depth', bedM)}, less than {show('depth', limitM)}.
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({ alarm: { paddingHorizontal: 12, paddingVertical: 6 } });
