import { View, StyleSheet } from 'react-native';
import { useState } from 'react';
import { useStore } from 'zustand';
import { BRIEF_BEDS, CLARITIES, HOURS, type Brief } from '@/core/advice';
import { problemOf } from '@/core/formats';
import {
  EXTRA_BAIT,
  EXTRA_COVERS,
  GROUNDS,
  type ExtraBait,
  type ExtraCover,
  type Ground,
  type WaterExtras,
} from '@/core/scene/choices';
import { measure } from '@/core/units';
import { changeWater, passStore, planStore } from '@/stores';
import { Chips, Dial, Text } from '@/ui';
import { useUnits } from '../units';
import { HOUR_WORDS } from '../words/brief';

const GROUND_WORDS: Record<Ground, string> = {
  shelf: 'Shelf',
  basin: 'Basin',
  hump: 'Hump',
  ledge: 'Ledge',
  channel: 'Channel',
};
const COVER_WORDS: Record<ExtraCover, string> = {
  none: 'None',
  brush: 'Brush',
  crib: 'Crib',
  timber: 'Timber',
  weed: 'Weed',
};
const BAIT_WORDS: Record<ExtraBait, string> = { none: 'None', calm: 'At ease', hunted: 'Hunted' };
const CLARITY_WORDS: Record<Brief['clarity'], string> = {
  clear: 'Clear',
  stained: 'Stained',
  silty: 'Silty',
};

/** Small life in the water, dB re 1 m⁻¹, and pieces adrift along the way. */
const PLANKTON = { little: -92, some: -82, much: -70 } as const;
const ADRIFT = { none: 0, some: 40, much: 160 } as const;
const AMOUNTS = { none: 'None', little: 'Little', some: 'Some', much: 'Much' } as const;

/** What no one has chosen yet: as the plan or the seed has it. */
const AS_PLANNED = 'plan';
type OrPlan<T extends string> = T | typeof AS_PLANNED;

function Choice<T extends string>(props: {
  label: string;
  value: T | undefined;
  options: readonly T[];
  words: (value: T) => string;
  onChange: (value: T | undefined) => void;
}) {
  const { label, value, options, words, onChange } = props;
  return (
    <View style={styles.choice}>
      <Text faint kind="small" aria-hidden>
        {label}
      </Text>
      <Chips<OrPlan<T>>
        label={label}
        value={value ?? AS_PLANNED}
        options={[
          { value: AS_PLANNED, label: 'As planned' },
          ...options.map((each) => ({ value: each, label: words(each) })),
        ]}
        onChange={(each) => onChange(each === AS_PLANNED ? undefined : each)}
        compact
      />
    </View>
  );
}

const nameOf = <K extends string>(table: Readonly<Record<K, number>>, value: number | undefined) =>
  (Object.keys(table) as K[]).find((name) => table[name] === value);

/** The user's own water: what the plan says of it, and what else is in it. */
export function MyWater() {
  const { system, show } = useUnits();
  const source = useStore(passStore, (s) => s.pass.source);
  const planned = useStore(planStore, (s) => s.brief);
  const [problem, setProblem] = useState<string | null>(null);
  const brief = source.kind === 'brief' ? source.brief : planned;
  const more: WaterExtras = source.kind === 'brief' ? (source.more ?? {}) : {};
  const turn = (change: Partial<Brief>, extras: WaterExtras = {}): void =>
    setProblem(problemOf(changeWater(change, extras, planned)));
  const depth = measure(system, 'depth');
  return (
    <View style={styles.water} role="group" aria-label="My water">
      <Text bold>My water</Text>
      <Text faint kind="small">
        Begins as your plan has it. Every change makes new pings.
      </Text>
      {problem && <Text role="alert">{problem}</Text>}
      <Dial
        label="Depth of the bed"
        name="water-depth"
        value={Math.round(depth.fromSi(brief.toM))}
        low={Math.ceil(depth.fromSi(brief.fromM + 1))}
        high={Math.floor(depth.fromSi(100))}
        step={1}
        show={(x) => show('depth', depth.toSi(x), 0)}
        onChange={(x) => turn({ toM: depth.toSi(x), fishToM: null })}
      />
      <Choice
        label="Shape of the bed"
        value={more.ground}
        options={GROUNDS}
        words={(g) => GROUND_WORDS[g]}
        onChange={(ground) => turn({}, { ground })}
      />
      <View style={styles.choice}>
        <Text faint kind="small" aria-hidden>
          Bed
        </Text>
        <Chips
          label="Bed"
          value={brief.bed}
          options={BRIEF_BEDS.map((bed) => ({
            value: bed,
            label: bed === 'unknown' ? 'Some of each' : bed.charAt(0).toUpperCase() + bed.slice(1),
          }))}
          onChange={(bed) => turn({ bed })}
          compact
        />
      </View>
      <Choice
        label="Cover"
        value={more.cover}
        options={EXTRA_COVERS}
        words={(c) => COVER_WORDS[c]}
        onChange={(cover) => turn({}, { cover })}
      />
      {more.cover && more.cover !== 'none' && more.cover !== 'weed' && (
        <Dial
          label="Age of the wood"
          name="water-age"
          value={more.coverAgeYears ?? 2}
          low={0}
          high={15}
          step={1}
          show={(x) => (x === 1 ? '1 year' : `${x} years`)}
          onChange={(coverAgeYears) => turn({}, { coverAgeYears })}
        />
      )}
      <Choice
        label="Bait"
        value={more.bait}
        options={EXTRA_BAIT}
        words={(b) => BAIT_WORDS[b]}
        onChange={(bait) => turn({}, { bait })}
      />
      <View style={styles.choice}>
        <Text faint kind="small" aria-hidden>
          Clarity
        </Text>
        <Chips
          label="Clarity"
          value={brief.clarity}
          options={CLARITIES.map((value) => ({ value, label: CLARITY_WORDS[value] }))}
          onChange={(clarity) => turn({ clarity })}
          compact
        />
      </View>
      <View style={styles.choice}>
        <Text faint kind="small" aria-hidden>
          Hour
        </Text>
        <Chips
          label="Hour"
          value={brief.hour}
          options={HOURS.map((value) => ({ value, label: HOUR_WORDS[value] }))}
          onChange={(hour) => turn({ hour })}
          compact
        />
      </View>
      <Choice
        label="Small life"
        value={nameOf(PLANKTON, more.planktonDb)}
        options={['little', 'some', 'much'] as const}
        words={(a) => AMOUNTS[a]}
        onChange={(a) => turn({}, { planktonDb: a && PLANKTON[a] })}
      />
      <Choice
        label="Grass and leaves adrift"
        value={nameOf(ADRIFT, more.drifting)}
        options={['none', 'some', 'much'] as const}
        words={(a) => AMOUNTS[a]}
        onChange={(a) => turn({}, { drifting: a && ADRIFT[a] })}
      />
      <Chips
        label="Gas from the bed"
        value={more.upwelling ? 'yes' : 'no'}
        options={[
          { value: 'no', label: 'No gas from the bed' },
          { value: 'yes', label: 'Gas from the bed' },
        ]}
        onChange={(x) => turn({}, { upwelling: x === 'yes' })}
        compact
      />
      <Chips
        label="Electrical noise"
        value={more.electrical ? 'yes' : 'no'}
        options={[
          { value: 'no', label: 'No electrical noise' },
          { value: 'yes', label: 'Electrical noise' },
        ]}
        onChange={(x) => turn({}, { electrical: x === 'yes' })}
        compact
      />
      <Chips
        label="Other sounders near"
        value={brief.othersNear ? 'yes' : 'no'}
        options={[
          { value: 'no', label: 'No other sounder' },
          { value: 'yes', label: 'Other sounders near' },
        ]}
        onChange={(x) => turn({ othersNear: x === 'yes' })}
        compact
      />
      <Dial
        label="Wind"
        name="water-wind"
        value={Math.round(measure(system, 'speed').fromSi(brief.windMps))}
        low={0}
        high={Math.round(measure(system, 'speed').fromSi(12))}
        step={1}
        show={(x) => show('speed', measure(system, 'speed').toSi(x), 0)}
        onChange={(x) => turn({ windMps: measure(system, 'speed').toSi(x) })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ water: { gap: 12 }, choice: { gap: 4 } });
