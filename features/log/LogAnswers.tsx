import { lazy, Suspense, useMemo, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { CLARITIES, PRESENTATIONS, type Presentation } from '@/core/advice';
import { biteRates, SORTED_BY, type BiteRate, type SortedBy } from '@/core/logbook/biteRates';
import { watersOf } from '@/core/logbook/eveningCard';
import type { FishedDay } from '@/core/logbook/fishedHours';
import { bedBand, BED_BAND_M, daysOf, setupRates } from '@/core/logbook/setupRates';
import { openUnitOf, planStore } from '@/stores';
import { Chips, Text, useTones } from '@/ui';
import { useOwnUnit } from '../plan/usePlan';
import { useUnits, type Units } from '../units';
import { CLARITY_WORDS, PHASE_WORDS } from '../words/brief';
import { monthWords } from '../words/day';
import { biteLine, groupWords, setupLine, SORTED_WORDS, spotLine, spotName } from '../words/logAnswers';
import { useSpots } from './useSpots';

const BiteChart = lazy(() => import('../charts').then((m) => ({ default: m.BiteChart })));

const MOST_SPOTS = 12;
/** Bars whose whole names fit side by side on a phone. */
const MOST_WHOLE_NAMES = 5;

/** Takes as bars, an hour where time is known of all of them. */
function chartOf(
  rows: readonly BiteRate[],
  by: SortedBy,
  units: Units,
): { title: string; bars: { label: string; value: number }[] } {
  const timed = rows.every((r) => r.rate !== null);
  const names = rows.map((r) => groupWords(by, r.key, units));
  const unit = /\s(m|ft|°C|°F|h)$/.exec(names[0] ?? '')?.[1];
  // Where many stand side by side a band is called by where it begins.
  const short = (name: string): string =>
    unit && rows.length > MOST_WHOLE_NAMES ? name.split('–')[0]! : name.replace(/\s(m|ft|°C|°F|h)$/, '');
  return {
    title: `${timed ? 'Takes an hour' : 'Takes'} by ${SORTED_WORDS[by].toLowerCase()}${unit ? `, ${unit}` : ''}`,
    bars: rows.map((r, k) => ({ value: timed ? r.rate!.perHour : r.takes, label: short(names[k]!) })),
  };
}

/** Rows of a name and what is said of it. */
function Rows({
  label,
  rows,
}: {
  label: string;
  rows: readonly (readonly [key: string, name: string, words: string])[];
}) {
  const tones = useTones();
  return (
    <View role="table" aria-label={label}>
      {rows.map(([key, name, words]) => (
        <View key={key} role="row" style={[styles.row, { borderTopColor: tones.rule }]}>
          <Text role="cell" bold style={styles.name}>
            {name}
          </Text>
          <Text role="cell" style={styles.said}>
            {words}
          </Text>
        </View>
      ))}
    </View>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View style={styles.part}>
      <Text kind="heading">{title}</Text>
      {children}
    </View>
  );
}

/** What the days say: bites by what they were sorted by, spots an hour fished, and lines held against other values. */
export function LogAnswers({ days, simulated }: { days: readonly FishedDay[]; simulated: boolean }) {
  const units = useUnits();
  const own = useOwnUnit();
  const unitId = useStore(planStore, (s) => openUnitOf(s).id);
  const [by, setBy] = useState<SortedBy>('depth');
  const [water, setWater] = useState('');
  const [phase, setPhase] = useState<Presentation | ''>('');
  const [clarity, setClarity] = useState('');
  const [bed, setBed] = useState('');
  const [month, setMonth] = useState('');
  const [width, setWidth] = useState(0);
  const waters = useMemo(() => watersOf(days.map((d) => d.day)), [days]);
  const taken = useMemo(() => daysOf(days, { waterName: water || undefined }), [days, water]);
  const rows = useMemo(() => biteRates(taken, by), [taken, by]);
  const spots = useSpots(taken).slice(0, MOST_SPOTS);
  const setups = useMemo(
    () =>
      setupRates(
        days,
        {
          waterName: water || undefined,
          phase: phase || undefined,
          clarity: clarity || undefined,
          bedFromM: bed === '' ? undefined : Number(bed),
          months: month === '' ? undefined : [Number(month)],
        },
        unitId,
      ),
    [days, water, phase, clarity, bed, month, unitId],
  );
  const phases = PRESENTATIONS.filter((p) => days.some(({ day }) => day.phases.some((x) => x.phase === p)));
  const clarities = CLARITIES.filter((c) => days.some(({ day }) => day.plan?.brief.clarity === c));
  const beds = [...new Set(days.flatMap(({ day }) => bedBand(day) ?? []))].sort((a, b) => a - b);
  const months = [...new Set(days.map(({ day }) => Number(day.startedAt.slice(5, 7))))].sort((a, b) => a - b);
  if (days.every((d) => d.answered.length === 0)) return null;
  return (
    <View
      style={styles.answers}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      testID="log-answers"
    >
      <Part title={`What the days say${simulated ? ', on simulated days' : ''}`}>
        {waters.length > 1 && (
          <Chips
            label="Water"
            value={water}
            options={[
              { value: '', label: 'All waters' },
              ...waters.map((name) => ({ value: name, label: name })),
            ]}
            onChange={setWater}
          />
        )}
        <Chips
          label="Bites by"
          value={by}
          options={SORTED_BY.map((name) => ({ value: name, label: SORTED_WORDS[name] }))}
          onChange={setBy}
        />
        {rows.length === 0 ? (
          <Text>No bite tells its {SORTED_WORDS[by].toLowerCase()} yet. Say it on Deck when one comes.</Text>
        ) : (
          <>
            {rows.length > 1 && width > 0 && (
              <Suspense fallback={<Text faint>Drawing the chart…</Text>}>
                <BiteChart {...chartOf(rows, by, units)} width={width} />
              </Suspense>
            )}
            <Rows
              label={`Bites by ${SORTED_WORDS[by].toLowerCase()}`}
              rows={rows.map((r) => [String(r.key), groupWords(by, r.key, units), biteLine(r)])}
            />
          </>
        )}
      </Part>
      {spots.length > 0 && (
        <Part title="Spots">
          <Rows
            label="Spots, the best an hour first"
            rows={spots.map((s, k) => [`${k}`, spotName(s), spotLine(s)])}
          />
        </Part>
      )}
      {(setups.length > 0 || clarity !== '' || bed !== '' || month !== '' || phase !== '') && (
        <Part title="Settings you used">
          {phases.length > 1 && (
            <Chips
              label="Phase"
              value={phase}
              options={[
                { value: '', label: 'All phases' },
                ...phases.map((p) => ({ value: p, label: PHASE_WORDS[p] })),
              ]}
              onChange={setPhase}
            />
          )}
          {clarities.length > 1 && (
            <Chips
              label="Clarity"
              value={clarity}
              options={[
                { value: '', label: 'Any clarity' },
                ...clarities.map((c) => ({ value: c, label: CLARITY_WORDS[c] })),
              ]}
              onChange={setClarity}
            />
          )}
          {beds.length > 1 && (
            <Chips
              label="Depth of the bed"
              value={bed}
              options={[
                { value: '', label: 'Any depth' },
                ...beds.map((fromM) => ({
                  value: String(fromM),
                  label: units.band('depth', fromM, fromM + BED_BAND_M, 0),
                })),
              ]}
              onChange={setBed}
            />
          )}
          {months.length > 1 && (
            <Chips
              label="Month"
              value={month}
              options={[
                { value: '', label: 'All year' },
                ...months.map((m) => ({ value: String(m), label: monthWords(m) })),
              ]}
              onChange={setMonth}
            />
          )}
          {setups.length === 0 && <Text>No line was held or set on such days.</Text>}
          <Rows
            label="Settings you used, against other values"
            rows={setups.map((s) => [`${s.control} ${s.value}`, ...setupLine(s, units, own)])}
          />
          <Text faint kind="small">
            A value used on good days is not yet why they were good. Use another on the same water and see.
          </Text>
        </Part>
      )}
      <Text faint kind="small">
        “Likely” holds 95 %: of shares by Wilson, of counts an hour by the Poisson law (Byar).
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  answers: { gap: 20, maxWidth: 720, width: '100%' },
  part: { gap: 10 },
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, borderTopWidth: 1, paddingVertical: 8 },
  name: { flexGrow: 1, flexBasis: 130 },
  said: { flexGrow: 3, flexBasis: 240 },
});
