import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import {
  drawView,
  openView,
  passScreen,
  passStore,
  readingKey,
  readingStore,
  readPass,
  RESTING,
  stopReading,
  stopView,
  viewOf,
  viewStore,
} from '@/stores';
import { Button, depthScale, EchoCanvas, EmptyState, PaletteBar, Text, useTones, useWide } from '@/ui';
import { AskingNote } from '../tune/AskingNote';
import { STAGE_WORDS } from '../tune/wording';
import { clock, useUnits } from '../units';
import { useSlow } from '../useSlow';
import { AlsoSeen } from './AlsoSeen';
import { FindingRow } from './FindingRow';
import { KeepSheet } from './KeepSheet';
import { PassOverlay } from './PassOverlay';

/** A window from the surface to the range. */
const WHOLE_WATER = { topM: 0, zoom: 1, zoomAtM: null, bedLockM: null } as const;

/** The whole pass on one screen, what was found in it, and why. */
export function ReadScreen() {
  const tones = useTones();
  const router = useRouter();
  const { system, show } = useUnits();
  const { settings, pass } = useStore(
    passStore,
    useShallow((s) => ({ settings: s.settings, pass: s.pass })),
  );
  const key = useMemo(() => readingKey({ settings, pass }), [settings, pass]);
  const reading = useStore(readingStore, (s) => s.readings.get(key) ?? null);
  // How reading stands, of this very pass and no other.
  const asking = useStore(readingStore, (s) => (s.askedKey === key ? s.asking : RESTING));
  const view = useStore(viewStore, (s) => viewOf(s, 'read'));
  const { picture, facts } = view;
  const [chosen, setChosen] = useState<number | null>(null);
  // From the bench a pass can come to be saved at once.
  const { save } = useLocalSearchParams<{ save?: string }>();
  const [keeping, setKeeping] = useState(save !== undefined);
  const wide = useWide();
  const stage = useSlow(asking.stage ?? view.stage);

  useEffect(() => openView('read'), []);
  useEffect(() => {
    void readPass();
  }, [key]);
  const durationS = reading?.facts.durationS ?? facts?.durationS ?? null;
  const { columns } = passScreen({ pass });
  // The whole pass in the unit's columns: its chart speed on this screen follows.
  const chartSpeed = durationS ? columns / durationS : null;
  useEffect(() => {
    // All of the water, whatever window the bench has: marks lie anywhere.
    const whole = { ...settings, ...WHOLE_WATER, chartSpeed: chartSpeed ?? settings.chartSpeed };
    void drawView('read', whole, null);
  }, [settings, chartSpeed, pass]);

  const scale = useMemo(
    () => depthScale({ topM: 0, spanM: settings.rangeM, overBed: false }, system),
    [settings.rangeM, system],
  );
  const findings = reading?.reading.findings ?? [];
  const fish = findings.filter((f) => f.kind === 'fish').length;
  const clouds = findings.filter((f) => f.kind === 'cloud').length;
  const onBed = findings.length - fish - clouds;

  const picturePart = (
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
        {stage && (
          <Button
            tone="quiet"
            label="Stop"
            onPress={() => {
              stopReading();
              stopView('read');
            }}
          />
        )}
        <Button
          tone="main"
          icon="bookmark-plus-outline"
          label="Save to log"
          spoken="Save this pass to the log"
          disabled={!reading}
          onPress={() => setKeeping(true)}
          testID="open-keep"
        />
      </View>
      <AskingNote
        asking={view}
        onStop={() => stopView('read')}
        onRetry={{ label: 'Draw again', press: () => void drawView('read') }}
      />
      <EchoCanvas
        picture={picture}
        palette={settings.palette}
        scale={scale}
        depthWords={(depthM) => show('depth', depthM)}
        label={`The whole pass with the bed line and ${findings.length} numbered marks; the list below tells them.`}
        overlay={(size) =>
          reading && durationS ? (
            <PassOverlay
              size={size}
              reading={reading}
              rangeM={settings.rangeM}
              fromS={durationS - columns / (chartSpeed ?? 1)}
              toS={durationS}
              ink={tones.buoy}
              halo={tones.ground}
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

  const list = asking.problem ? (
    <EmptyState
      title="The pass was not read"
      hint={asking.problem}
      action={{ label: 'Read again', onPress: () => void readPass() }}
    />
  ) : !reading ? (
    <>
      <Text faint style={styles.pad}>
        Reading the pass…
      </Text>
      <AskingNote
        asking={asking}
        onStop={stopReading}
        onRetry={{ label: 'Read again', press: () => void readPass() }}
      />
    </>
  ) : findings.length === 0 ? (
    <>
      <EmptyState
        title="Nothing stands out"
        hint="No mark stands clear of the noise in this pass. Try another beam, or other water."
        action={{ label: 'Go to Tune', onPress: () => router.push('/tune') }}
      />
      <AlsoSeen reading={reading} />
    </>
  ) : (
    <View>
      <Text style={styles.pad} testID="read-summary">
        {fish} single {fish === 1 ? 'mark' : 'marks'}, {clouds} {clouds === 1 ? 'cloud' : 'clouds'}
        {onBed > 0 && `, ${onBed} ${onBed === 1 ? 'thing' : 'things'} on the bed`}. Tap one to see why.
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
      <AlsoSeen reading={reading} />
      <Text faint kind="small" style={styles.pad}>
        The app reads marks. It cannot tell the kind of fish.
      </Text>
    </View>
  );

  return (
    <View style={[styles.screen, { flexDirection: wide ? 'row' : 'column' }]}>
      {picturePart}
      <ScrollView
        style={
          wide
            ? [styles.side, { borderLeftColor: tones.rule }]
            : [styles.foot, { borderTopColor: tones.rule }]
        }
      >
        {list}
      </ScrollView>
      <KeepSheet open={keeping} reading={reading} onClose={() => setKeeping(false)} />
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
