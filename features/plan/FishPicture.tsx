import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Brief, Expectation, Setup } from '@/core/advice';
import { PALETTES, type Picture } from '@/core/picture';
import type { Rig } from '@/core/rig';
import { PixelPicture, Text, useTones } from '@/ui';
import { useMiniature } from '../useMiniature';
import { pictureKindOf, usePalette } from '../usePalette';

interface Props {
  brief: Brief;
  rig: Rig;
  setup: Setup;
  expected: Expectation;
  width: number;
  height: number;
}

/** Room about a mark, in its own widths, and fewest columns looked at. */
const ROOM = 2.2;
const LEAST_COLUMNS = 56;

/** The part of a picture about its one fish: scale in px a cell, and where the picture's corner then lies. */
function aboutFish(
  picture: Picture,
  { depthM, columns: wide }: Expectation,
  width: number,
  height: number,
): { scale: number; left: number; top: number } {
  const { columns, rows, columnsFilled, rowM, topM } = picture;
  const shown = Math.min(columns, Math.max(LEAST_COLUMNS, ROOM * wide));
  const scale = Math.max(width / shown, height / rows);
  const column = columns - columnsFilled / 2;
  const row = (depthM - topM[Math.floor(column)]!) / rowM;
  const within = (at: number, room: number, all: number): number =>
    Math.min(0, Math.max(room - all, room / 2 - at));
  return {
    scale,
    left: within(column * scale, width, columns * scale),
    top: within(row * scale, height, rows * scale),
  };
}

/** One fish drawn by the simulator with this very setup: near it first, all of the water at a tap. */
export function FishPicture({ brief, rig, setup, expected, width, height }: Props) {
  const tones = useTones();
  const palette = usePalette(pictureKindOf(setup.prediction.face));
  const [whole, setWhole] = useState(false);
  const settings = useMemo(() => ({ ...setup.settings, palette }), [setup.settings, palette]);
  const { picture, problem } = useMiniature(brief, rig, settings);
  if (problem) return <Text role="alert">{problem}</Text>;
  const { ground } = PALETTES[palette];
  const frame = { width, height, borderColor: tones.rule, backgroundColor: ground };
  if (!picture)
    return (
      <View style={[styles.frame, styles.waiting, frame]}>
        <Text style={{ color: tones.faint, backgroundColor: tones.page }} kind="small">
          Drawing one fish…
        </Text>
      </View>
    );
  const { scale, left, top } = whole
    ? { scale: 1, left: 0, top: 0 }
    : aboutFish(picture, expected, width, height);
  return (
    <Pressable
      role="button"
      aria-label={whole ? 'All of the water. Zoom to the fish' : 'Near the fish. Show all of the water'}
      onPress={() => setWhole(!whole)}
      style={[styles.frame, frame]}
      testID="fish-picture"
    >
      <View style={{ position: 'absolute', left, top }}>
        <PixelPicture
          width={picture.columns}
          height={picture.rows}
          pixels={picture.pixels}
          label="One fish drawn with this setup on your screen"
          shownWidth={whole ? width : picture.columns * scale}
          shownHeight={whole ? height : picture.rows * scale}
          testID="miniature"
        />
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  frame: { borderWidth: 1, overflow: 'hidden' },
  waiting: { justifyContent: 'center', alignItems: 'center' },
});
