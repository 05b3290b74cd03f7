import { useCallback, useState } from 'react';
import { StyleSheet } from 'react-native';
import { useStore } from 'zustand';
import { planStore } from '@/stores';
import { InlineButton, Text } from '@/ui';
import { useUnits } from '../../units';
import { briefWords, type BriefPiece } from '../../words/brief';
import { BriefSheet } from './BriefSheet';

/** The brief as a sentence; each of its pieces opens what changes it. */
export function BriefSentence() {
  const brief = useStore(planStore, (s) => s.brief);
  const faces = useStore(planStore, (s) => s.rig.faces);
  const units = useUnits();
  const [piece, setPiece] = useState<BriefPiece | null>(null);
  const close = useCallback(() => setPiece(null), []);
  const words = briefWords(
    brief,
    units,
    faces.find((f) => f.id === brief.faceId),
  );
  const pieceOf = (name: BriefPiece, hint: string) => (
    <InlineButton
      words={words[name]}
      spoken={`${hint}: ${words[name]}. Change`}
      onPress={() => setPiece(name)}
      testID={`brief-${name}`}
    />
  );
  return (
    <>
      <Text style={styles.sentence}>
        {pieceOf('species', 'Fish')}
        {', '}
        {pieceOf('depth', 'Depth')}
        {', '}
        {pieceOf('water', 'Water')}
        {', '}
        {pieceOf('presentation', 'Presentation and speed')}
        {', with '}
        {pieceOf('beam', 'Beam and transducer')}
        {'.'}
      </Text>
      <BriefSheet piece={piece} onClose={close} />
    </>
  );
}

const styles = StyleSheet.create({ sentence: { fontSize: 18, lineHeight: 30 } });
