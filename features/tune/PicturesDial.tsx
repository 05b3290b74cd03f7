import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { otherFaceOf, passStore, PICTURES, showOtherFace, showPictures, type Pictures } from '@/stores';
import { Chips, Text } from '@/ui';
import { useFaces, useShownPictures } from './useShownPictures';

const WORDS: Record<Pictures, string> = {
  one: 'One',
  two: 'Two',
  outlines: 'With outlines',
};

/** How many pictures, and which beam the other one is of. */
export function PicturesDial() {
  const { pictures } = useShownPictures();
  const faces = useFaces();
  const face = useStore(passStore, (s) => s.settings.faceId);
  const other = useStore(passStore, (s) => otherFaceOf(s, faces));
  if (other === null) return <Text faint>There is one beam only, and so one picture.</Text>;
  return (
    <View style={styles.dial}>
      <Chips
        label="Pictures"
        value={pictures}
        options={PICTURES.map((each) => ({ value: each, label: WORDS[each] }))}
        onChange={showPictures}
      />
      {pictures !== 'one' && faces.length > 2 && (
        <Chips
          label="Other picture"
          value={other}
          options={faces.filter((f) => f.id !== face).map((f) => ({ value: f.id, label: f.label }))}
          onChange={showOtherFace}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ dial: { gap: 8, paddingHorizontal: 12 } });
