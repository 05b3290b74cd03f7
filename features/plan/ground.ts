import { createStore } from 'zustand/vanilla';
import type { Ground } from '@/core/advice';

/** Water the plan goes over in lanes, and how; nothing of it is kept. Deck lays the same lanes. */
export const groundStore = createStore<
  Pick<Ground, 'lengthM' | 'widthM' | 'overlap' | 'coverM'> & {
    /** Litres an hour; 0 is not counted. */
    fuelLph: number;
  }
>(() => ({ lengthM: 150, widthM: 60, overlap: 0.2, coverM: 3, fuelLph: 0 }));
