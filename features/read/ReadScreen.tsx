import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useStore } from 'zustand';
import { benchStore, cancelBench, drawBench, readBench } from '@/stores';
import { Button, depthScale, EchoCanvas, EmptyState, PaletteBar, Text, useTones, WIDE_PX } from '@/ui';
import { STAGE_WORDS } from '../tune/wording';
import { clock, useUnits } from '../units';
import { FindingRow } from './FindingRow';
import { KeepSheet } from './KeepSheet';
import { PassOverlay } from './PassOverlay';

/** A window from the surface to the range. */
const WHOLE_WATER = { topM: 0, zoom: 1, zoomAtM: null, bedLockM: null } as const;

/** The whole pass on one screen, what was found in it, and why. */
export function ReadScreen() {
  const tones = useTones();
  const router = useRouter();
  const { system } = useUnits();
  const { width } = useWindowDimensions();
  const { settings, picture, facts, reading, stage, problem, rig, brief, seed } = useStore(benchStore);
  const [chosen, setChosen] = useState<number | null>(null);
  const [keeping, setKeeping] = useState(false);
  const wide = width >= WIDE_PX;

  useEffect(() => {
    if (!reading) void readBench();
  }, [reading, brief, rig, seed]);
  const durationS = facts?.durationS ?? null;
  const columns = rig.screen.columns;
  // The whole pass in the unit's columns: its chart speed on this screen follows.
  const chartSpeed = durationS ? Math.max(0.2, Math.min(40, columns / durationS)) : null;
  useEffect(() => {
    // All of the water, whatever window the bench has: marks lie anywhere.
    if (chartSpeed !== null) void drawBench({ ...settings, ...WHOLE_WATER, chartSpeed }, null);
  }, [settings, chartSpeed, brief, rig, seed]);

  const scale = useMemo(
    () => depthScale({ topM: 0, spanM: settings.rangeM, overBed: false }, system),
    [settings.rangeM, system],
  );
  const findings = reading?.reading.findings ?? [];
  const fish = findings.filter((f) => f.kind === 'fish').length;
  const clouds = findings.filter((f) => f.kind === 'cloud').length;
  const onBed = findings.length - fish - clouds;
  const dark = settings.palette !== 'ink';

  const pass = (
    <View style={wide ? styles.pictureWide : styles.picture}>
      <View style={styles.head}>
        <View style={styles.title}>
          <Text kind="title">Read</Text>
          <Text faint kind="small" numberOfLines={2}>
            {stage
              ? STAGE_WORDS[stage]
              : `${facts?.title ?? 'The pass on the bench'}${durationS ? `, ${clock(durationS)} long` : ''}`}
          </Text>
        </View>
        {stage ? (
          <Button tone="quiet" label="Stop" onPress={cancelBench} />
        ) : (
          <Button
            tone="main"
            icon="bookmark-plus-outline"
            label="Keep"
            spoken="Keep this pass in the log"
            disabled={!reading}
            onPress={() => setKeeping(true)}
            testID="open-keep"
          />
        )}
      </View>
      <EchoCanvas
        picture={picture}
        palette={settings.palette}
        scale={scale}
        label={`The whole pass with the bed line and ${findings.length} numbered marks; the list below tells them.`}
        overlay={(size) =>
          reading && durationS ? (
            <PassOverlay
              size={size}
              reading={reading}
              rangeM={settings.rangeM}
              fromS={durationS - columns / (chartSpeed ?? 1)}
              toS={durationS}
              ink={dark ? '#ffb27d' : '#8a2c00'}
              halo={dark ? '#14140f' : '#fffaf2'}
              chosen={chosen}
              onChoose={setChosen}
            />
          ) : null
        }
      />
      <View style={styles.legend}>
        <PaletteBar palette={settings.palette} />
      </View>
    </View>
  );

  const list = problem ? (
    <EmptyState
      title="The pass was not read"
      hint={problem}
      action={{ label: 'Read again', onPress: () => void readBench() }}
    />
  ) : !reading ? (
    <Text faint style={styles.pad}>
      Reading the pass…
    </Text>
  ) : findings.length === 0 ? (
    <EmptyState
      title="Nothing stands out"
      hint="Nothing is clearly over the noise in this pass. Another beam, or other water, may show more."
      action={{ label: 'Go to Tune', onPress: () => router.push('/tune') }}
    />
  ) : (
    <View>
      <Text style={styles.pad} testID="read-summary">
        {fish} single {fish === 1 ? 'mark' : 'marks'}, {clouds} {clouds === 1 ? 'cloud' : 'clouds'}
        {onBed > 0 && `, ${onBed} ${onBed === 1 ? 'thing' : 'things'} on the bed`}. Tap one for its numbers
        and reasons.
      </Text>
      <View role="list" aria-label="Marks found">
        {findings.map((f) => (
          <FindingRow
            key={f.id}
            finding={f}
            open={f.id === chosen}
            onPress={() => setChosen(f.id === chosen ? null : f.id)}
          />
        ))}
      </View>
      <Text faint kind="small" style={styles.pad}>
        Readings with a stated confidence, never an identification.
      </Text>
    </View>
  );

  return (
    <View style={[styles.screen, { flexDirection: wide ? 'row' : 'column' }]}>
      {pass}
      <ScrollView
        style={
          wide
            ? [styles.side, { borderLeftColor: tones.rule }]
            : [styles.foot, { borderTopColor: tones.rule }]
        }
      >
        {list}
      </ScrollView>
      <KeepSheet open={keeping} onClose={() => setKeeping(false)} />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  picture: { flex: 1, minHeight: 0, paddingHorizontal: 4 },
  pictureWide: { flex: 2, minHeight: 0, padding: 12 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingHorizontal: 8, paddingVertical: 6 },
  title: { flex: 1, minWidth: 0 },
  legend: { paddingHorizontal: 8, paddingVertical: 4 },
  side: { flex: 1, borderLeftWidth: 1, maxWidth: 460 },
  foot: { flex: 1, borderTopWidth: 1 },
  pad: { padding: 12 },
});
