import { everythingAsText, notify } from '@/stores';
import { saveFile } from '@/ui';

/** Hands the user one file with everything on this device, as it stands. */
export async function exportEverything(): Promise<void> {
  try {
    const day = new Date().toISOString().slice(0, 10);
    saveFile(`nimble-echo-everything-${day}.json`, await everythingAsText(), 'application/json');
  } catch {
    notify('Your data could not be read from this device. Try again.');
  }
}
