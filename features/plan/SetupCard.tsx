import { lazy, memo, Suspense, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import type { Control, Setup, SetupLine } from '@/core/advice';
import type { PictureKind } from '@/core/picture';
import { tryingStore } from '@/stores';
import { Text, TOUCH_PX, useTones } from '@/ui';
import { useUnits } from '../units';
import { controlName } from '../words/controls';
import { lineValue } from '../words/setupValues';
import { grouped } from './setupGroups';
import { useOwnUnit } from './usePlan';

// Loaded when it is first opened.
const LineSheet = lazy(() => import('./LineSheet').then((m) => ({ default: m.LineSheet })));

interface Props {
  setup: Setup;
  /** Whose lines are held on it. */
  card: PictureKind;
  /** The setup of the phase before: what differs from it is marked. */
  before: Setup | null;
  /** What it is tried under, where it was not tried yet. */
  untried: string | null;
}

interface CellProps {
  line: SetupLine;
  value: string;
  changed: boolean;
  trying: boolean;
  onPress: () => void;
}

/** One value: its name small over it; pressing it says why. */
function Cell({ line, value, changed, trying, onPress }: CellProps) {
  const own = useOwnUnit();
  const tones = useTones();
  const name = controlName(line.control, own);
  const marks = `${line.pinned ? ', held' : ''}${trying ? ', being tried' : ''}${changed ? ', differs from the phase before' : ''}`;
  return (
    <Pressable
      role="button"
      aria-label={`${name}: ${value}${marks}. Why`}
      onPress={onPress}
      testID={`cell-${line.control}`}
      style={({ pressed }) => [styles.cell, { borderTopColor: tones.rule, opacity: pressed ? 0.7 : 1 }]}
    >
      <Text faint style={styles.name} numberOfLines={1}>
        {name}
        {line.pinned ? ' · held' : trying ? ' · trying…' : ''}
      </Text>
      <View style={styles.valueRow}>
        <Text bold style={styles.value} testID={`setup-${line.control}`}>
          {value}
        </Text>
        {changed && <View style={[styles.dot, { backgroundColor: tones.buoy }]} />}
      </View>
    </Pressable>
  );
}

/** The card at a glance: all values of a phase in two columns of cells; a cell opens its reason, the other ways and a hold. */
export const SetupCard = memo(function SetupCard({ setup, card, before, untried }: Props) {
  const tones = useTones();
  const units = useUnits();
  const own = useOwnUnit();
  const [open, setOpen] = useState<Control | null>(null);
  const trying = useStore(tryingStore, (s) => untried !== null && s.key === untried);
  const valueIn = (of: Setup, control: Control): string | null => {
    const line = of.lines.find((l) => l.control === control);
    return line ? lineValue(line, units, of.prediction.face, own) : null;
  };
  const groups = grouped(setup.lines);
  const shows = groups.filter((g) => g.title === 'What shows');
  const rest = groups.filter((g) => g.title !== 'What shows');
  const column = (list: typeof groups) => (
    <View style={styles.column}>
      {list.map(({ title, lines }) => (
        <View key={title} role="group" aria-label={title}>
          <Text kind="small" bold style={[styles.group, { color: tones.water }]}>
            {title}
          </Text>
          {lines.map((line) => (
            <Cell
              key={line.control}
              line={line}
              value={lineValue(line, units, setup.prediction.face, own)}
              changed={before !== null && valueIn(before, line.control) !== valueIn(setup, line.control)}
              trying={trying && line.control === 'gain'}
              onPress={() => setOpen(line.control)}
            />
          ))}
        </View>
      ))}
    </View>
  );
  const line = setup.lines.find((l) => l.control === open);
  return (
    <View role="region" aria-label={card === 'cone' ? 'Start setup' : 'Start setup of the slice'}>
      <View style={styles.columns}>
        {column(rest)}
        {column(shows)}
      </View>
      {line && (
        <Suspense fallback={null}>
          <LineSheet line={line} setup={setup} card={card} untried={untried} onClose={() => setOpen(null)} />
        </Suspense>
      )}
    </View>
  );
});

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', columnGap: 14 },
  column: { flex: 1, minWidth: 0, gap: 4 },
  group: { lineHeight: 20 },
  cell: { minHeight: TOUCH_PX, borderTopWidth: 1, justifyContent: 'center', paddingVertical: 2 },
  name: { fontSize: 14, lineHeight: 18 },
  valueRow: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  value: { fontSize: 18, lineHeight: 23, flexShrink: 1 },
  dot: { width: 8, height: 8, borderRadius: 4 },
});
