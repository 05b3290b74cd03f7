import { useState } from 'react';
import { useStore } from 'zustand';
import type { Presentation } from '@/core/advice';
import type { DayChoices } from '@/core/logbook/logQuestion';
import { BED_BAND_M } from '@/core/logbook/setupRates';
import { openUnitOf, planStore } from '@/stores';
import { Text } from '@/ui';
import { useOwnUnit } from '../plan/usePlan';
import { useLogAnswer } from '../useLogAnswer';
import { useUnits } from '../units';
import { CLARITY_WORDS, PHASE_WORDS } from '../words/brief';
import { monthWords } from '../words/day';
import { setupLine } from '../words/logAnswers';
import { AnswerPart, AnswerRows } from './AnswerRows';
import { FilterChips } from './FilterChips';

type Clarity = DayChoices['clarities'][number];

/** Lines that were held or set, against other values of them. */
export function SetupsAnswer({
  waterName,
  choices: { phases, clarities, bedsFromM, months },
}: {
  waterName: string | undefined;
  choices: DayChoices;
}) {
  const units = useUnits();
  const own = useOwnUnit();
  const unitId = useStore(planStore, (s) => openUnitOf(s).id);
  const [phase, setPhase] = useState<Presentation | null>(null);
  const [clarity, setClarity] = useState<Clarity | null>(null);
  const [bedFromM, setBed] = useState<number | null>(null);
  const [month, setMonth] = useState<number | null>(null);
  const { answer } = useLogAnswer({
    of: 'setups',
    filter: {
      waterName,
      phase: phase ?? undefined,
      clarity: clarity ?? undefined,
      bedFromM: bedFromM ?? undefined,
      months: month === null ? undefined : [month],
    },
    unitId,
  });
  const filtered = [phase, clarity, bedFromM, month].some((chosen) => chosen !== null);
  if (!answer || (answer.setups.length === 0 && !filtered)) return null;
  const { setups } = answer;
  return (
    <AnswerPart title="Settings you used">
      <FilterChips
        label="Phase"
        all="All phases"
        value={phase}
        choices={phases}
        words={(p) => PHASE_WORDS[p]}
        onChange={setPhase}
      />
      <FilterChips
        label="Clarity"
        all="Any clarity"
        value={clarity}
        choices={clarities}
        words={(c) => CLARITY_WORDS[c]}
        onChange={setClarity}
      />
      <FilterChips
        label="Depth of the bed"
        all="Any depth"
        value={bedFromM}
        choices={bedsFromM}
        words={(fromM) => units.band('depth', fromM, fromM + BED_BAND_M, 0)}
        onChange={setBed}
      />
      <FilterChips
        label="Month"
        all="All year"
        value={month}
        choices={months}
        words={monthWords}
        onChange={setMonth}
      />
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
