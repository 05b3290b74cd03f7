/** Faults of a mount. */
export const MOUNT_FAULTS = ['none', 'loose', 'tilted', 'churned', 'obstructed', 'wrong-kind'] as const;
export type MountFault = (typeof MOUNT_FAULTS)[number];
