import { useLocalSearchParams, useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { openUnitOf, planStore } from '@/stores';
import { Button, Icon, Text, TOUCH_PX, useTones, useWide, type IconName } from '@/ui';
import { useUnits } from '../units';
import { boatStates, type BoatPage } from '../words/boat';
import { AtDepth } from './AtDepth';
import { Boats } from './Boats';
import { Faults } from './Faults';
import { Level } from './Level';
import { NoiseCheck } from './NoiseCheck';
import { Places } from './Places';
import { ScreenSize } from './ScreenSize';
import { Transducers } from './Transducers';
import { Units } from './Units';
import { UnitScales } from './UnitScales';

function ScreenAndScales() {
  const unitId = useStore(planStore, (s) => s.unitId);
  return (
    <>
      <Units />
      <ScreenSize key={unitId ?? 'first'} />
      <UnitScales key={`scales-${unitId ?? 'first'}`} />
    </>
  );
}

/** The pages of the boat, in the order they are needed. */
const PAGES: readonly { page: BoatPage; title: string; icon: IconName; shown: () => ReactNode }[] = [
  { page: 'depth', title: 'At a depth', icon: 'arrow-expand-down', shown: AtDepth },
  { page: 'fitted', title: 'What is fitted', icon: 'access-point', shown: Transducers },
  { page: 'screen', title: 'Screen and scales', icon: 'monitor', shown: ScreenAndScales },
  { page: 'places', title: 'Where things sit', icon: 'ruler', shown: Places },
  { page: 'level', title: 'Level check', icon: 'spirit-level', shown: Level },
  { page: 'noise', title: 'Noise check', icon: 'waveform', shown: NoiseCheck },
  { page: 'mount', title: 'Mount faults', icon: 'wrench-outline', shown: Faults },
  { page: 'boats', title: 'Boats', icon: 'sail-boat', shown: Boats },
];

function Cards({ open, onOpen }: { open: BoatPage | null; onOpen: (page: BoatPage) => void }) {
  const tones = useTones();
  const units = useUnits();
  const { rig, brief } = useStore(planStore);
  const unit = useStore(planStore, openUnitOf);
  const states = boatStates(rig, unit, brief, units);
  return (
    <View role="list" aria-label="Pages of the boat">
      {PAGES.map(({ page, title, icon }) => (
        <View key={page} role="listitem">
          <Pressable
            role="link"
            aria-label={`${title}: ${states[page]}`}
            aria-current={open === page ? 'page' : undefined}
            onPress={() => onOpen(page)}
            style={[
              styles.card,
              { borderTopColor: tones.rule },
              open === page && { backgroundColor: tones.waterWash },
            ]}
            testID={`boat-card-${page}`}
          >
            <Icon name={icon} colour={tones.water} />
            <View style={styles.words}>
              <Text bold>{title}</Text>
              <Text faint kind="small" numberOfLines={2}>
                {states[page]}
              </Text>
            </View>
            <Icon name="chevron-right" colour={tones.ink} />
          </Pressable>
        </View>
      ))}
    </View>
  );
}

/** The user's own boat: a home of short cards, each with its state and a page of its own. */
export function BoatScreen() {
  const { page: asked } = useLocalSearchParams<{ page?: string }>();
  const router = useRouter();
  const tones = useTones();
  const name = useStore(planStore, (s) => s.rig.name);
  const wide = useWide();
  const found = PAGES.find((p) => p.page === asked) ?? (wide ? PAGES[0]! : null);
  const open = (page: BoatPage): void => router.push(`/boat?page=${page}`);
  const home = (
    <>
      <Text kind="title">Boat</Text>
      <Text faint style={styles.name}>
        {name}
      </Text>
      <Cards open={wide ? (found?.page ?? null) : null} onOpen={open} />
    </>
  );
  const shown = found && <found.shown />;
  if (wide)
    return (
      <View style={styles.wide}>
        <ScrollView
          style={[styles.left, { borderRightColor: tones.rule }]}
          contentContainerStyle={styles.page}
        >
          {home}
        </ScrollView>
        <ScrollView style={styles.right} contentContainerStyle={styles.page}>
          <Text kind="heading" style={styles.heading}>
            {found!.title}
          </Text>
          {shown}
        </ScrollView>
      </View>
    );
  return (
    <ScrollView contentContainerStyle={styles.page}>
      {found ? (
        <>
          <View style={styles.back}>
            <Button
              tone="quiet"
              icon="arrow-left"
              label="Boat"
              spoken="Back to the boat"
              onPress={() => router.push('/boat')}
            />
            <Text kind="title">{found.title}</Text>
          </View>
          {shown}
        </>
      ) : (
        home
      )}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { padding: 16, paddingBottom: 40 },
  wide: { flex: 1, flexDirection: 'row', minHeight: 0 },
  left: { flex: 2, maxWidth: 440, borderRightWidth: 1 },
  right: { flex: 3 },
  heading: { marginBottom: 12 },
  name: { marginBottom: 10 },
  card: {
    minHeight: TOUCH_PX + 14,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    borderTopWidth: 1,
    paddingVertical: 8,
    paddingHorizontal: 4,
  },
  words: { flex: 1, minWidth: 0 },
  back: { flexDirection: 'row', alignItems: 'center', gap: 4, marginBottom: 10, marginLeft: -14 },
});
