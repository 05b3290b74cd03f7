import { readLogFile } from '@/core/formats';
import { importEntries, logStore, notify, setBegun } from '@/stores';
import week from './demoWeek.json';

/** Puts the demo's log in when the address asks for it (`?demo`) and the log is empty; never over a user's own. */
export function loadDemo(): void {
  if (typeof location === 'undefined' || !new URLSearchParams(location.search).has('demo')) return;
  // The demo has its boat.
  setBegun();
  if (logStore.getState().entries.length > 0) return;
  const result = readLogFile(JSON.stringify(week));
  if (result.ok) importEntries(result.entries);
  else notify(`The demo data could not be read: ${result.problem}`);
}
