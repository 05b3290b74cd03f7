/** A picture turned right shows at least this much of what the start setup shows. */
export const DIALLED_IN = 0.9;

/** The dials of the drill: those that what was set wrong is mended by, by their controls. */
export const TURNED = ['range', 'gain', 'firstColour', 'chartSpeed', 'noiseRejection'] as const;
