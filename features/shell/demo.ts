import { readLogFile } from '@/core/formats';
import { compareLogs } from '@/core/logbook';
import { importEntries, logStore, notify, takeDemoDays } from '@/stores';

/** Whether the address asks for the demo. */
export const demoAsked = (): boolean =>
  typeof location !== 'undefined' && new URLSearchParams(location.search).has('demo');

/** Puts the demo's log and day in when the address asks for it (`?demo`) and the log is empty; never over a user's own. */
export async function loadDemo(): Promise<void> {
  if (!demoAsked()) return;
  const { demoWeek } = await import('@/stores/simulated');
  takeDemoDays(demoWeek());
  const { entries } = logStore.getState();
  if (entries.length > 0) return;
  const { default: week } = await import('./demoWeek.json');
  const result = readLogFile(JSON.stringify(week));
  if (result.ok) await importEntries(compareLogs(entries, result.value), 'mine');
  else notify(`The demo data could not be read: ${result.problem}`);
}
