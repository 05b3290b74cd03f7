import { memo, useState, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { CONTROLS, type ControlName } from '@/core/picture';
import { unitOf } from '@/core/rig';
import {
  backToStart,
  hasStart,
  passStore,
  redrawNewOnly,
  setNow,
  showFace,
  startCompare,
  undoTurn,
  viewOf,
  viewStore,
} from '@/stores';
import { Button, Chips, Dial, Text } from '@/ui';
import { clock } from '../units';
import { controlName, type NamedControl } from '../words/controls';
import { ChoiceDial, CHOICES, type Choice } from './ChoiceDial';
import { cursorStore, turnCutaway } from './cursorStore';
import { ControlDial } from './ControlDial';
import { PaletteChips, useShownKind } from './PaletteChips';
import { PicturesDial } from './PicturesDial';
import { WayDial } from './WayDial';
import { useFaces } from './useShownPictures';
import { DIAL_GROUPS, groupsOf, type DialGroup, type DialName } from './dialGroups';

type Named = Parameters<typeof controlName>[1];

const isChoice = (name: DialName): name is Choice => name in CHOICES;
const isControl = (name: DialName): name is ControlName => name in CONTROLS;

const groupName = (group: DialGroup, unit: Named): string =>
  group === 'colour'
    ? 'Colour'
    : group === 'slice'
      ? 'Contrast'
      : group === 'time'
        ? 'Back in time'
        : group === 'way'
          ? 'Boat'
          : controlName(group as NamedControl, unit);

const dialName = (name: DialName, unit: Named): string =>
  name === 'time'
    ? 'Back in time'
    : name === 'redraw'
      ? 'What a turn redraws'
      : name === 'way'
        ? 'Way of the boat'
        : name === 'pictures'
          ? 'Pictures'
          : isChoice(name)
            ? CHOICES[name].label
            : controlName(name as NamedControl, unit);

/** A range beyond twice the bed shows nothing more; but shallow water may be looked at as deep water is. */
const LEAST_DEEPEST_M = 30;
const DEEPEST_OVER = 2.2;

function TimeDial() {
  const nowS = useStore(passStore, (s) => s.nowS);
  const end = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.durationS ?? 0);
  if (end === 0) return <Text faint>There is no pass on the bench yet.</Text>;
  return (
    <Dial
      label="Right edge of the picture"
      name="dial-time"
      value={nowS ?? end}
      low={0}
      high={Math.floor(end)}
      step={1}
      show={(x) => `${clock(x)} of ${clock(end)}`}
      onChange={(x) => setNow(x >= Math.floor(end) ? null : x)}
    />
  );
}

function RedrawDial() {
  const newOnly = useStore(passStore, (s) => s.newColumnsOnly);
  return (
    <Chips
      label="What a turn redraws"
      value={newOnly ? 'new' : 'all'}
      options={[
        { value: 'all', label: 'The whole picture' },
        { value: 'new', label: 'New columns only, as a unit does' },
      ]}
      onChange={(what) => redrawNewOnly(what === 'new')}
    />
  );
}

function BeamChips() {
  const faceId = useStore(passStore, (s) => s.settings.faceId);
  const faces = useFaces();
  return (
    <Chips
      label="Frequency"
      value={faceId}
      options={faces.map((f) => ({ value: f.id, label: f.label }))}
      onChange={showFace}
    />
  );
}

/** A dial by its name; one that needs new pings is not there for a recording. */
function OneDial({ name }: { name: DialName }) {
  const deepest = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.deepestM ?? LEAST_DEEPEST_M);
  const fastest = useStore(passStore, (s) => unitOf(s.pass.rig).fastestPingRate);
  const deep = Math.max(LEAST_DEEPEST_M, DEEPEST_OVER * deepest);
  switch (name) {
    case 'time':
      return <TimeDial />;
    case 'beam':
      return <BeamChips />;
    case 'redraw':
      return <RedrawDial />;
    case 'way':
      return <WayDial />;
    case 'pictures':
      return <PicturesDial />;
    case 'palette':
      return <PaletteChips />;
    case 'range':
    case 'windowTop':
    case 'lookNoDeeper':
    case 'levelLine':
    case 'shallowAlarm':
      return <ControlDial name={name} highest={deep} />;
    case 'pingRate':
      return <ControlDial name="pingRate" highest={fastest} />;
    default:
      return isControl(name) ? <ControlDial name={name} /> : <ChoiceDial name={name} />;
  }
}

/** Dials of a group that can be turned over what is on the bench. */
function useDials(group: DialGroup): readonly DialName[] {
  const ofFile = useStore(passStore, (s) => s.pass.source.kind === 'recording');
  const all: readonly DialName[] = DIAL_GROUPS[group];
  // A recording's pings are as they are.
  return ofFile ? all.filter((name) => name !== 'power' && name !== 'pingRate') : all;
}

const GroupColumn = memo(function GroupColumn({ group }: { group: DialGroup }) {
  const unit = useStore(passStore, (s) => unitOf(s.pass.rig));
  const dials = useDials(group);
  return (
    <View role="group" aria-label={groupName(group, unit)} style={styles.group}>
      <Text kind="heading">{groupName(group, unit)}</Text>
      {dials.map((name) => (
        <OneDial key={name} name={name} />
      ))}
    </View>
  );
});

/** A row of chips that scrolls sideways. */
const SideScroll = ({ children }: { children: ReactNode }) => (
  <ScrollView
    horizontal
    showsHorizontalScrollIndicator={false}
    contentContainerStyle={styles.chips}
    style={styles.row}
  >
    {children}
  </ScrollView>
);

/** One dial of a group under the thumb, and the group's others to choose from. */
const GroupOnPhone = memo(function GroupOnPhone({ group }: { group: DialGroup }) {
  const unit = useStore(passStore, (s) => unitOf(s.pass.rig));
  const dials = useDials(group);
  const [name, setName] = useState<DialName>(dials[0]!);
  const shown = dials.includes(name) ? name : dials[0]!;
  return (
    <>
      {dials.length > 1 && (
        <SideScroll>
          <Chips
            label="Dial of the group"
            value={shown}
            options={dials.map((each) => ({ value: each, label: dialName(each, unit) }))}
            onChange={setName}
            nowrap
            compact
          />
        </SideScroll>
      )}
      <View style={styles.one}>
        <OneDial name={shown} />
      </View>
    </>
  );
});

/** Begins to hold two ways against each other. */
function Compare() {
  const comparing = useStore(passStore, (s) => s.compared !== null);
  return (
    <Button
      tone="quiet"
      label="Compare"
      spoken="Compare two ways to set this"
      disabled={comparing}
      onPress={startCompare}
      testID="compare"
    />
  );
}

/** Ways back: the last turn, which a phone has in its head, and all of them to the start setup. */
function WaysBack({ wide }: { wide: boolean }) {
  const turned = useStore(passStore, (s) => s.past.length > 0);
  const ofBrief = useStore(passStore, hasStart);
  const cutaway = useStore(cursorStore, (s) => s.cutaway);
  return (
    <View style={styles.back}>
      {wide && (
        <Button tone="quiet" label="Undo" spoken="Undo the last turn" disabled={!turned} onPress={undoTurn} />
      )}
      <Button
        tone="quiet"
        label={cutaway ? 'Hide the water' : 'See the water'}
        spoken={cutaway ? 'Hide the true water' : 'Show the true water beside the picture'}
        onPress={turnCutaway}
        testID="turn-cutaway"
      />
      {ofBrief && (
        <Button
          tone="quiet"
          label="Start setup"
          spoken="Back to the start setup"
          onPress={backToStart}
          testID="back-to-start"
        />
      )}
    </View>
  );
}

/** One dial at a time under the thumb; all of them in a column when there is room. */
export const Dials = memo(function Dials({ wide }: { wide: boolean }) {
  const [chosen, setGroup] = useState<DialGroup>('gain');
  const unit = useStore(passStore, (s) => unitOf(s.pass.rig));
  const groups = groupsOf(useShownKind() === 'slice');
  const group = groups.includes(chosen) ? chosen : 'gain';
  if (wide)
    return (
      <View style={styles.column}>
        <View style={[styles.back, styles.wrap]}>
          <WaysBack wide />
          <Compare />
        </View>
        {groups.map((each) => (
          <GroupColumn key={each} group={each} />
        ))}
      </View>
    );
  return (
    <View style={styles.phone}>
      <SideScroll>
        <Chips
          label="Dial"
          value={group}
          options={groups.map((each) => ({ value: each, label: groupName(each, unit) }))}
          onChange={setGroup}
          nowrap
        />
        <Compare />
        <WaysBack wide={false} />
      </SideScroll>
      <GroupOnPhone key={group} group={group} />
    </View>
  );
});

const styles = StyleSheet.create({
  column: { gap: 22 },
  group: { gap: 10 },
  phone: { gap: 6 },
  row: { flexGrow: 0 },
  chips: { paddingHorizontal: 12, alignItems: 'center', gap: 8 },
  one: { minHeight: 84, paddingHorizontal: 4 },
  back: { flexDirection: 'row', gap: 4 },
  wrap: { flexWrap: 'wrap' },
});
