import type { PassSpec } from '@/core/bench/passSource';

/** The rest of recordings whose beginning is on the bench already, by fingerprint: whether it came. */
const coming = new Map<string, Promise<boolean>>();

/** Says that the rest of a recording is on its way to the bench. */
export function comes(fingerprint: string, rest: Promise<unknown>): void {
  coming.set(
    fingerprint,
    rest.then(
      () => true,
      () => false,
    ),
  );
}

/** Waits until all of a recording is on the bench. @returns false where the rest could not be had */
export const restOf = async ({ source }: PassSpec): Promise<boolean> =>
  source.kind !== 'recording' || ((await coming.get(source.fingerprint)) ?? true);
