import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { PALETTE_STEPS, type Picture } from '@/core/picture';
import { bedSteps, shareBelowBed, speckleShare } from '@/core/picture/judge/meters';
import { passStore, viewOf, viewStore } from '@/stores';
import { Text, useWide } from '@/ui';
import { meterWords, turnWords, type PictureMeters } from '../words/meters';

/** A picture is judged once it has stood so long, ms: a dial is then at rest. */
const AT_REST_MS = 300;

function metersOf(picture: Picture): PictureMeters {
  const steps = bedSteps(picture);
  return {
    specks: speckleShare(picture),
    bedFull: steps.length === 0 ? null : steps.filter((s) => s >= PALETTE_STEPS).length / steps.length,
    belowBed: shareBelowBed(picture),
  };
}

/** The picture's meters in plain sentences, and what the last turn changed in them. */
export function MeterLine() {
  const wide = useWide();
  const picture = useStore(viewStore, (s) => viewOf(s, 'tune').picture);
  const playing = useStore(passStore, (s) => s.playing);
  const [said, setSaid] = useState<{ now: PictureMeters; before: PictureMeters | null } | null>(null);
  useEffect(() => {
    if (!picture || playing) return;
    const timer = setTimeout(() => {
      const now = metersOf(picture);
      setSaid((last) => ({ now, before: last?.now ?? null }));
    }, AT_REST_MS);
    return () => clearTimeout(timer);
  }, [picture, playing]);
  if (!said) return null;
  const turned = said.before && turnWords(said.before, said.now);
  const all = meterWords(said.now);
  // A phone has room for what is worst only.
  const lines = wide ? all : all.slice(0, 1);
  return (
    <View role="status" style={styles.words} testID="meter-words">
      {lines.map((words) => (
        <Text key={words} kind="small">
          {words}
        </Text>
      ))}
      {turned && (
        <Text kind="small" faint testID="turn-words">
          {turned}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ words: { paddingHorizontal: 8, paddingBottom: 4, gap: 2 } });
