import { useState } from 'react';
import { useStore } from 'zustand';
import type { Presentation } from '@/core/advice';
import type { DayChoices } from '@/core/logbook/logQuestion';
import { BED_BAND_M } from '@/core/logbook/setupRates';
import { openUnitOf, planStore } from '@/stores';
import { Chips, Text } from '@/ui';
import { useOwnUnit } from '../plan/usePlan';
import { useLogAnswer } from '../useLogAnswer';
import { useUnits } from '../units';
import { CLARITY_WORDS, PHASE_WORDS } from '../words/brief';
import { monthWords } from '../words/day';
import { setupLine } from '../words/logAnswers';
import { AnswerPart, AnswerRows } from './AnswerRows';

const optional = <T extends string>(chosen: T | ''): T | undefined => (chosen === '' ? undefined : chosen);

/** Lines that were held or set, against other values of them. */
export function SetupsAnswer({
  waterName,
  choices: { phases, clarities, bedsFromM: beds, months },
}: {
  waterName: string | undefined;
  choices: DayChoices;
}) {
  const units = useUnits();
  const own = useOwnUnit();
  const unitId = useStore(planStore, (s) => openUnitOf(s).id);
  const [phase, setPhase] = useState<Presentation | ''>('');
  const [clarity, setClarity] = useState('');
  const [bed, setBed] = useState('');
  const [month, setMonth] = useState('');
  const { answer } = useLogAnswer({
    of: 'setups',
    filter: {
      waterName,
      phase: optional(phase),
      clarity: optional(clarity),
      bedFromM: bed === '' ? undefined : Number(bed),
      months: month === '' ? undefined : [Number(month)],
    },
    unitId,
  });
  const filtered = clarity !== '' || bed !== '' || month !== '' || phase !== '';
  if (!answer || (answer.setups.length === 0 && !filtered)) return null;
  const { setups } = answer;
  return (
    <AnswerPart title="Settings you used">
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
      <AnswerRows
        label="Settings you used, against other values"
        rows={setups.map((s) => [`${s.control} ${s.value}`, ...setupLine(s, units, own)])}
      />
      <Text faint kind="small">
        A value used on good days is not yet why they were good. Use another on the same water and see.
      </Text>
    </AnswerPart>
  );
}
