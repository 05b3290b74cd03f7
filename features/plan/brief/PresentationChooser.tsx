import { useStore } from 'zustand';
import { PRESENTATIONS, USUAL_SPEED_MPS } from '@/core/advice';
import { planStore } from '@/stores';
import { Chips, Dial, Text, Tick } from '@/ui';
import { PRESENTATION_WORDS } from '../../words/brief';
import { useChange, useSteps } from './useChange';
import { decimal } from '@/ui/decimal';

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
