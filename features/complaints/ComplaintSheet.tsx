import { useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, TextInput, View } from 'react-native';
import { SYMPTOMS, type Symptom } from '@/core/bench/symptoms/symptom';
import { Sheet, Text, TOUCH_PX, useTones } from '@/ui';
import { findSymptoms, SYMPTOM_WORDS } from '../words/symptoms';

interface Props {
  open: boolean;
  onClose: () => void;
  /** One complaint's own page. */
  one: (symptom: Symptom, onBack: () => void, onDone: () => void) => ReactNode;
}

/** What is wrong with my picture: complaints to pick, or to find by everyday words. */
export function ComplaintSheet({ open, onClose, one }: Props) {
  const tones = useTones();
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<Symptom | null>(null);
  const found = findSymptoms(typed, SYMPTOMS);
  const close = (): void => {
    setChosen(null);
    onClose();
  };
  return (
    <Sheet title="What is wrong?" open={open} onClose={close}>
      {chosen ? (
        one(chosen, () => setChosen(null), close)
      ) : (
        <>
          <TextInput
            value={typed}
            onChangeText={setTyped}
            placeholder="Type what you see, or a dial"
            placeholderTextColor={tones.faint}
            aria-label="What you see"
            style={[styles.search, { borderColor: tones.faint, color: tones.ink }]}
            testID="symptom-search"
          />
          {found.length === 0 && (
            <Text faint>Nothing fits these words. Try fewer, or pick from the list.</Text>
          )}
          <View role="list" aria-label="Complaints">
            {(found.length > 0 ? found : SYMPTOMS).map((symptom) => (
              <View key={symptom} role="listitem">
                <Pressable
                  role="button"
                  onPress={() => setChosen(symptom)}
                  style={[styles.complaint, { borderTopColor: tones.rule }]}
                  testID={`symptom-${symptom}`}
                >
                  <Text>{SYMPTOM_WORDS[symptom].complaint}</Text>
                </Pressable>
              </View>
            ))}
          </View>
        </>
      )}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  search: { borderWidth: 1, borderRadius: 4, minHeight: TOUCH_PX, paddingHorizontal: 12, fontSize: 18 },
  complaint: { borderTopWidth: 1, minHeight: TOUCH_PX, justifyContent: 'center' },
});
