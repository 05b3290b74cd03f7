import { useState } from 'react';
import type { Phase, Presentation } from '@/core/advice';
import { phaseOfSpeed } from '@/core/advice/phaseOfSpeed';
import type { BoatNow } from './useBoatNow';

/** A speed must hold so long before it counts, s. */
const HOLD_S = 8;

/** Another of today's phases, where the boat's speed has said so for some seconds and leaves no doubt. */
export function useOfferedPhase(phases: readonly Phase[], { speedMps, nowS }: BoatNow): Presentation | null {
  const [held, setHeld] = useState<{ phase: Presentation | null; sinceS: number }>({
    phase: null,
    sinceS: 0,
  });
  const planned = phases.map(({ presentation, brief }) => ({ presentation, speedMps: brief.speedMps }));
  const said = speedMps === null ? null : phaseOfSpeed(planned, speedMps);
  if (said !== held.phase) setHeld({ phase: said, sinceS: nowS });
  return said !== null && said === held.phase && nowS - held.sinceS >= HOLD_S ? said : null;
}
