import { useEffect, useRef, useState } from 'react';

/** Steady-hand average: readings of the last seconds. */
const KEPT = 60;

/** Whether this browser has an orientation sensor it may give, only over https or on the device itself. */
export const hasTiltSensor = (): boolean =>
  typeof window !== 'undefined' && 'DeviceOrientationEvent' in window && window.isSecureContext;

interface Asks {
  requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** How a phone laid on something leans: fore and aft (its long side) and athwart, degrees, averaged; null until it says. */
export function useTilt(on: boolean): { alongDeg: number; athwartDeg: number; steady: boolean } | null {
  const kept = useRef<{ beta: number; gamma: number }[]>([]);
  const [tilt, setTilt] = useState<{ alongDeg: number; athwartDeg: number; steady: boolean } | null>(null);
  useEffect(() => {
    if (!on || !hasTiltSensor()) return;
    kept.current = [];
    const hear = ({ beta, gamma }: DeviceOrientationEvent): void => {
      if (beta === null || gamma === null) return;
      const list = kept.current;
      list.push({ beta, gamma });
      if (list.length > KEPT) list.shift();
      const mean = (key: 'beta' | 'gamma'): number => list.reduce((s, r) => s + r[key], 0) / list.length;
      const alongDeg = mean('beta');
      const athwartDeg = mean('gamma');
      const spread = Math.sqrt(list.reduce((s, r) => s + (r.beta - alongDeg) ** 2, 0) / list.length);
      setTilt({ alongDeg, athwartDeg, steady: list.length === KEPT && spread < 0.5 });
    };
    let live = true;
    // Some browsers ask the user first.
    const ask = (DeviceOrientationEvent as unknown as Asks).requestPermission;
    const begin = (): void => {
      if (live) window.addEventListener('deviceorientation', hear);
    };
    if (ask)
      void ask()
        .then((answer) => answer === 'granted' && begin())
        .catch(() => undefined);
    else begin();
    return () => {
      live = false;
      window.removeEventListener('deviceorientation', hear);
    };
  }, [on]);
  return tilt;
}
