/** Longest the interface is held up by one turn of work, ms. */
const TURN_MS = 12;

/** Waits until the interface has had its turn. */
export const nextTurn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** Works through a list a few milliseconds at a time, so that the interface answers in between; what follows begins a turn. */
export async function inSlices<T>(list: readonly T[], each: (item: T, index: number) => void): Promise<void> {
  let begun = performance.now();
  for (let i = 0; i < list.length; i++) {
    each(list[i]!, i);
    if (performance.now() - begun < TURN_MS) continue;
    await nextTurn();
    begun = performance.now();
  }
  await nextTurn();
}
