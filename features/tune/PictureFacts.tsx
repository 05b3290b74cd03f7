import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { windowSpan } from '@/core/picture';
import { waterPerColumn, waterPerRow } from '@/core/rig';
import { passScreen, passStore, viewOf, viewStore } from '@/stores';
import { PaletteBar, Text } from '@/ui';
import { decimal } from '@/ui/decimal';
import { useUnits } from '../units';
import { strengthWords } from '../words/passFacts';
import { cursorStore } from './cursorStore';
import { cellOf } from './pictureCells';

/** What is pointed at: depth, how long ago, how strong; null where nothing is. */
function useCursorWords(): string | null {
  const { show } = useUnits();
  const cursor = useStore(cursorStore, (s) => s.cursor);
  const picture = useStore(viewStore, (s) => viewOf(s, 'tune').picture);
  const cell = cursor && picture && cellOf(picture, cursor);
  if (!cursor || !cell) return null;
  const step = picture.steps[cell.column * picture.rows + cell.row]!;
  const behind = picture.timeS[picture.columns - 1]! - cursor.timeS;
  return [
    show('depth', cursor.depthM, 1),
    behind < 0.5 ? 'now' : `${decimal(behind, 0)} s ago`,
    strengthWords(step),
  ].join(' · ');
}

/** The palette weak to strong, and what the picture holds: water a row, way a column, seconds; or what is pointed at. */
export function PictureFacts() {
  const { show } = useUnits();
  const { rows, columns, palette, spanM, chartSpeed, speedMps } = useStore(
    passStore,
    useShallow((s) => ({
      ...passScreen(s),
      palette: s.settings.palette,
      spanM: windowSpan(s.settings),
      chartSpeed: s.settings.chartSpeed,
      // Steered, the boat goes at no one speed.
      speedMps:
        s.pass.source.kind === 'brief' && !s.pass.source.steering?.length ? s.pass.source.brief.speedMps : 0,
    })),
  );
  const pointed = useCursorWords();
  const column = waterPerColumn(speedMps, chartSpeed);
  return (
    <View style={styles.facts}>
      <PaletteBar palette={palette} />
      <Text kind="small" testID="picture-facts">
        {pointed ??
          `${show('small', waterPerRow(spanM, rows))} a row${column > 0.005 ? ` · ${show('small', column, 0)} a column` : ''} · ${Math.round(columns / chartSpeed)} s held`}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  facts: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'space-between',
    alignItems: 'center',
    columnGap: 12,
    paddingHorizontal: 8,
    paddingVertical: 4,
  },
});
