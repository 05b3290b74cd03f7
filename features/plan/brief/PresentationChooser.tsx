import { useStore } from 'zustand';
import { PRESENTATIONS, USUAL_SPEED_MPS, type Brief } from '@/core/advice';
import { hangsUnderBoat } from '@/core/advice/lureEcho';
import { USUAL_LURE_KG } from '@/core/advice/lureOnLine';
import type { Result } from '@/core/formats';
import { planStore } from '@/stores';
import { Chips, Dial, NumberField, Text, Tick } from '@/ui';
import { PRESENTATION_WORDS } from '../../words/brief';
import { useChange, useSteps } from './useChange';
import { decimal } from '@/ui/decimal';

const LURE_OPTIONS = [
  { value: 'none', label: 'No lure' },
  { value: 'dressed', label: 'Soft bait or skirt' },
  { value: 'bare', label: 'Bare metal' },
] as const;

/** What hangs on the line under the boat, where it does. */
function LureChooser({ brief, change }: { brief: Brief; change: (c: Partial<Brief>) => Result }) {
  if (!hangsUnderBoat(brief)) return null;
  const { lure } = brief;
  return (
    <>
      <Chips
        label="Lure"
        value={lure === null ? 'none' : lure.dressed ? 'dressed' : 'bare'}
        options={LURE_OPTIONS}
        onChange={(kind) =>
          change({
            lure:
              kind === 'none' ? null : { massKg: lure?.massKg ?? USUAL_LURE_KG, dressed: kind === 'dressed' },
          })
        }
      />
      {lure && (
        <NumberField
          label="Weight of the lure"
          value={Number((1000 * lure.massKg).toFixed(1))}
          unit="g"
          low={1}
          high={1000}
          decimals={1}
          onChange={(g) => change({ lure: { ...lure, massKg: g / 1000 } })}
          testID="brief-lure-grams"
        />
      )}
    </>
  );
}

/** How the boat fishes, how fast, and beside whom. */
export function PresentationChooser() {
  const { brief } = useStore(planStore);
  const { change, problem } = useChange();
  const { speed } = useSteps();
  return (
    <>
      <Chips
        label="How you fish"
        value={brief.presentation}
        options={PRESENTATIONS.map((p) => ({ value: p, label: PRESENTATION_WORDS[p].chip }))}
        onChange={(p) => change({ presentation: p, speedMps: USUAL_SPEED_MPS[p] })}
      />
      <Dial
        label="Boat speed"
        name="boat-speed"
        value={Number(speed.fromSi(brief.speedMps).toFixed(1))}
        low={0}
        high={Math.round(speed.fromSi(15))}
        step={speed.unit === 'mph' ? 0.1 : 0.2}
        show={(x) => `${decimal(x, 1)}\u00a0${speed.unit}`}
        onChange={(x) => change({ speedMps: Math.min(15, speed.toSi(x)) })}
      />
      <LureChooser brief={brief} change={change} />
      <Tick
        label="Other sounders near"
        hint="boats within earshot, or your own second one"
        on={brief.othersNear}
        onPress={() => change({ othersNear: !brief.othersNear })}
      />
      {problem && <Text role="alert">{problem}</Text>}
    </>
  );
}
