import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import type { PaletteName, Picture } from '@/core/picture';
import type { PassReading } from '@/stores';
import { IconButton, PaletteBar, Text, useTones } from '@/ui';

import { clock, useUnits } from '../units';
import { pointedWords, ruledWords } from '../words/passFacts';
import { cellOf } from '../tune/pictureCells';
import { FilesSheet } from './FilesSheet';
import { windowOn } from './passWindow';
import { closer, readStore, takeTool } from './readStore';

interface Props {
  picture: Picture | null;
  palette: PaletteName;
  reading: PassReading | null;
  onDisplay: () => void;
}

/** What is pointed at or measured; else what to do with the tool in hand. */
function useFacts(picture: Picture | null, reading: PassReading | null): string | null {
  const units = useUnits();
  const { pointed, tool, ruler } = useStore(readStore);
  if (!picture || !reading) return null;
  if (tool === 'add') return 'Tap where you see a mark.';
  if (tool === 'ruler') {
    const [a, b] = ruler;
    if (!a) return 'Tap the first end.';
    return b ? ruledWords(a, b, reading, units) : 'Tap the other end.';
  }
  if (!pointed) return null;
  const cell = cellOf(picture, { timeS: pointed.timeS, depthM: pointed.rangeM });
  return pointedWords(pointed, cell && picture.steps[cell.column * picture.rows + cell.row]!, reading, units);
}

/** Closer and wider, the ruler, adding a mark, how the picture is drawn; and what is pointed at. */
export function ReadTools({ picture, palette, reading, onDisplay }: Props) {
  const tones = useTones();
  // From what is saved on the device one comes here to choose what to delete.
  const { files: asked } = useLocalSearchParams<{ files?: string }>();
  const [files, setFiles] = useState(asked !== undefined);
  const { tool, along, closeUp, pointed, chosen } = useStore(readStore);
  const facts = useFacts(picture, reading);
  const about = (): { timeS: number; rangeM: number } =>
    pointed ??
    reading?.reading.findings.find((f) => f.id === chosen) ?? {
      timeS: picture?.nowS ?? 0,
      rangeM: picture ? picture.topM[picture.columns - 1]! + (picture.rows * picture.rowM) / 2 : 0,
    };
  const held = (mine: typeof tool) => ({
    borderBottomWidth: 3,
    borderBottomColor: tool === mine ? tones.buoy : 'transparent',
  });
  return (
    <View>
      <View style={styles.row} role="toolbar" aria-label="Tools of the picture">
        <IconButton icon="plus" label="Look closer" onPress={() => closer(1, about())} />
        <IconButton
          icon="minus"
          label={closeUp ? 'Look wider' : 'The whole pass is shown'}
          onPress={() => closer(-1, about())}
        />
        <View style={held('ruler')}>
          <IconButton
            icon="ruler"
            label="Ruler"
            chosen={tool === 'ruler'}
            onPress={() => takeTool('ruler')}
          />
        </View>
        <View style={held('add')}>
          <IconButton
            icon="map-marker-plus-outline"
            label="Add a mark"
            chosen={tool === 'add'}
            onPress={() => takeTool('add')}
          />
        </View>
        <IconButton icon="tune-variant" label="Gain and colours" onPress={onDisplay} />
        <IconButton
          icon="folder-open-outline"
          label="Recordings and pictures"
          onPress={() => setFiles(true)}
        />
        {closeUp && (
          <Text kind="small" bold testID="close-up">
            {along > 1 && picture
              ? `${clock(Math.max(0, windowOn(picture).fromS))}–${clock(picture.nowS)}`
              : `×${closeUp.times}`}
          </Text>
        )}
      </View>
      <View style={styles.facts}>
        {facts === null ? (
          <PaletteBar palette={palette} numbered />
        ) : (
          <Text kind="small" testID="read-facts" role="status">
            {facts}
          </Text>
        )}
      </View>
      <FilesSheet open={files} onClose={() => setFiles(false)} />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 4 },
  facts: { paddingHorizontal: 12, minHeight: 26, justifyContent: 'center' },
});
