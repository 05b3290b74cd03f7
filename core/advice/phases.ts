import { USUAL_SPEED_MPS, type Brief, type Presentation } from './brief';

/** A phase of the day: what the boat then does, and the brief as it is then. */
export interface Phase {
  presentation: Presentation;
  brief: Brief;
}

/** The day of a brief: running between spots, searching, and the way it is fished. */
export function phasesOf(brief: Brief): Phase[] {
  const fished: Presentation =
    brief.presentation === 'search' || brief.presentation === 'run' ? 'vertical' : brief.presentation;
  return (['run', 'search', fished] as const).map((presentation) => ({
    presentation,
    // What is not the brief's own is done at its usual speed.
    brief:
      presentation === brief.presentation
        ? brief
        : { ...brief, presentation, speedMps: USUAL_SPEED_MPS[presentation] },
  }));
}
