import { everythingKept, FILES, filesForBackup, notify } from '@/stores';
import { leftOutWords } from '../words/keptFiles';
import { saveBlob, saveFile } from '@/ui';

/** Hands the user one file with everything on this device, as it stands. */
export async function exportEverything(): Promise<void> {
  try {
    const madeAt = new Date().toISOString();
    const name = `nimble-echo-backup-${madeAt.slice(0, 10)}`;
    const texts = await everythingKept();
    try {
      const { MOST_FILES_IN_BACKUP, writeBackup } = await import('@/core/formats/exchange');
      const { files, leftOut } = await filesForBackup(MOST_FILES_IN_BACKUP);
      // What is told of a file goes with the file or not at all.
      for (const key of Object.keys(texts))
        if (key.startsWith(FILES.prefix) && !files[key.slice(FILES.prefix.length)]) delete texts[key];
      const bytes = writeBackup({ madeAt, texts, files });
      if (leftOut > 0) notify(leftOutWords(leftOut));
      saveBlob(`${name}.zip`, new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' }));
    } catch {
      // The part that packs could not be loaded: unpacked it can be brought back as well.
      const plain = JSON.stringify({ format: 'nimble-echo-everything', version: 1, data: texts }, null, 1);
      saveFile(`${name}.json`, plain, 'application/json');
    }
  } catch {
    notify('Your data could not be read from this device. Try again.');
  }
}
