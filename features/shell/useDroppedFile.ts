import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { notify, takeRecordingToBench } from '@/stores';
import { handPicture } from '../screenPicture/handedPicture';

const isRecording = ({ name }: File): boolean => /\.(nc|nc4|h5|hdf5)$/i.test(name);

/** A file dropped on any place: a recording is read, a picture of a screen is calibrated; of others it is said what opens. */
export function useDroppedFile(path: string): void {
  const router = useRouter();
  useEffect(() => {
    // This page takes what is dropped on it itself.
    if (path === '/screen') return;
    const over = (event: DragEvent): void => {
      if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
    };
    const take = async (file: File): Promise<void> => {
      if (file.type.startsWith('image/')) {
        handPicture(file);
        return router.push('/screen');
      }
      if (!isRecording(file))
        return notify('Recordings (.nc) and pictures of a screen open here. Log files open on Log.');
      notify(`Opening ${file.name.slice(0, 60)}…`);
      const taken = await takeRecordingToBench(file);
      if (!taken.ok) return notify(taken.problem);
      notify(`${file.name.slice(0, 60)} is on the bench.`);
      if (path !== '/tune' && path !== '/read') router.push('/read');
    };
    const drop = (event: DragEvent): void => {
      const file = event.dataTransfer?.files[0];
      if (!file) return;
      event.preventDefault();
      void take(file);
    };
    document.addEventListener('dragover', over);
    document.addEventListener('drop', drop);
    return () => {
      document.removeEventListener('dragover', over);
      document.removeEventListener('drop', drop);
    };
  }, [path, router]);
}
