import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useStore } from 'zustand';
import { problemOf } from '@/core/formats';
import { calibrateChart, UNIT_CONTROLS, type UnitControl } from '@/core/picture';
import type { UnitScale } from '@/core/rig';
import { controlName } from '../words/controls';
import { forgetScale, openUnitOf, planStore, tellScale, timeChart } from '@/stores';
import { Button, Chips, NumberField, Text, useTones } from '@/ui';
import { decimal } from '@/ui/decimal';

const FRESH: UnitScale = { word: '', lowest: 0, highest: 10, step: 1, direction: 'more' };

/** How the unit words and counts one control. */
function Scale({ control }: { control: UnitControl }) {
  const told = useStore(planStore, (s) => openUnitOf(s).scales[control]);
  const [scale, setScale] = useState<UnitScale>(told ?? { ...FRESH, word: controlName(control, null) });
  const [problem, setProblem] = useState<string | null>(null);
  const number = (key: 'lowest' | 'highest' | 'step', label: string) => (
    <NumberField
      label={label}
      unit="on the unit"
      value={scale[key]}
      low={-1000}
      high={1000}
      decimals={2}
      onChange={(x) => setScale({ ...scale, [key]: x })}
      testID={`scale-${key}`}
    />
  );
  return (
    <>
      <TextInput
        mode="outlined"
        label="What the unit calls it"
        accessibilityLabel="What the unit calls it"
        value={scale.word}
        maxLength={30}
        onChangeText={(word) => setScale({ ...scale, word })}
      />
      <View style={styles.row}>
        {number('lowest', 'Lowest')}
        {number('highest', 'Highest')}
        {number('step', 'One step')}
      </View>
      <Chips
        label="A higher number does"
        value={scale.direction}
        options={[
          { value: 'more', label: 'Higher does more' },
          { value: 'less', label: 'Higher does less' },
        ]}
        onChange={(direction) => setScale({ ...scale, direction })}
      />
      {problem && <Text role="alert">{problem}</Text>}
      <View style={styles.row}>
        <Button
          label={told ? 'Change it' : 'Tell it'}
          onPress={() => {
            setProblem(problemOf(tellScale(control, scale)));
          }}
          testID="scale-tell"
        />
        {told && <Button tone="quiet" label="Forget it" onPress={() => forgetScale(control)} />}
      </View>
      {control === 'gain' && (
        <Text faint kind="small">
          Where a unit’s gain begins nobody can know: the number a plan then gives is a place to start from.
          Turn it up until open water shows a few specks, then back a touch.
        </Text>
      )}
    </>
  );
}

/** Two timings of one mark across the screen. */
function ChartTimings() {
  const { scales, chart, screen } = useStore(planStore, openUnitOf);
  const { columns } = screen;
  const scale = scales['chartSpeed'];
  const [a, setA] = useState(chart?.[0] ?? { shown: 3, acrossS: 60 });
  const [b, setB] = useState(chart?.[1] ?? { shown: 6, acrossS: 30 });
  const [problem, setProblem] = useState<string | null>(null);
  if (!scale) return null;
  const pair = (which: 'first' | 'second', timing: typeof a, set: (t: typeof a) => void) => (
    <View style={styles.row}>
      <NumberField
        label={`At ${which} setting`}
        unit="on the unit"
        value={timing.shown}
        low={scale.lowest}
        high={scale.highest}
        onChange={(shown) => set({ ...timing, shown })}
        testID={`chart-${which}-shown`}
      />
      <NumberField
        label="Across the screen in"
        unit="s"
        value={timing.acrossS}
        low={1}
        high={3600}
        onChange={(acrossS) => set({ ...timing, acrossS })}
        testID={`chart-${which}-time`}
      />
    </View>
  );
  const told = (): string | null => {
    if (!chart) return null;
    try {
      const { columnsPerS } = calibrateChart(columns, scale.lowest, scale.highest, chart[0], chart[1]);
      const perColumn = (shown: number): string => `${decimal(1 / columnsPerS(shown), 2)} s a column`;
      return `${scale.lowest} is ${perColumn(scale.lowest)}, ${scale.highest} is ${perColumn(scale.highest)}.`;
    } catch {
      return null;
    }
  };
  return (
    <>
      <Text>
        Time one mark from the right edge to the left at two settings: two minutes, and every plan speaks your
        unit’s own chart speed.
      </Text>
      {pair('first', a, setA)}
      {pair('second', b, setB)}
      {problem && <Text role="alert">{problem}</Text>}
      <Button
        label="Use these times"
        onPress={() => {
          try {
            calibrateChart(columns, scale.lowest, scale.highest, a, b);
            timeChart([a, b]);
            setProblem(null);
          } catch (error) {
            setProblem(
              `This cannot be: ${error instanceof Error ? error.message.replace('chart speed: ', '') : String(error)}.`,
            );
          }
        }}
        testID="chart-use"
      />
      {told() && <Text testID="chart-told">{told()}</Text>}
    </>
  );
}

/** The user's own unit: how it counts what a plan speaks of. Asked for nothing until it is wanted. */
export function UnitScales() {
  const tones = useTones();
  const { scales } = useStore(planStore, openUnitOf);
  const [control, setControl] = useState<UnitControl | null>(null);
  return (
    <View style={styles.block}>
      <Text kind="heading">Your unit’s own scales</Text>
      <Text faint kind="small">
        Tell how your unit counts a control and the plan speaks in its numbers. None is needed.
      </Text>
      <Chips
        label="Control"
        value={control ?? ('' as UnitControl)}
        options={UNIT_CONTROLS.map((c) => ({
          value: c,
          label: `${controlName(c, null)}${scales[c] ? ' ✓' : ''}`,
        }))}
        onChange={setControl}
      />
      {control && (
        <View key={control} style={[styles.scale, { borderTopColor: tones.rule }]}>
          <Scale control={control} />
          {control === 'chartSpeed' && <ChartTimings />}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: 10, paddingBottom: 28 },
  scale: { gap: 10, borderTopWidth: 1, paddingTop: 10 },
  row: { flexDirection: 'row', gap: 10, flexWrap: 'wrap' },
});
