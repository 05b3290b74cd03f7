import { useEffect, useState } from 'react';

const hasPosition = (): boolean => typeof navigator !== 'undefined' && 'geolocation' in navigator;

/** Speed over ground by the device's own position, m/s, null while it is not watched or not known; and why it cannot be had. */
export function useSpeed(watching: boolean): { speed: number | null; problem: string | null } {
  const [speed, setSpeed] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (!watching || !hasPosition()) return;
    const id = navigator.geolocation.watchPosition(
      ({ coords }) => {
        setSpeed(coords.speed);
        setProblem(
          coords.speed === null ? 'Your device gives a position but no speed. Wait until you move.' : null,
        );
      },
      ({ code }) => {
        setSpeed(null);
        setProblem(
          code === 1
            ? 'Your browser may not use your position. Allow it in the browser’s settings, then try again.'
            : 'Your position cannot be found. Try again under open sky.',
        );
      },
      { enableHighAccuracy: true, maximumAge: 2000 },
    );
    return () => {
      navigator.geolocation.clearWatch(id);
      setSpeed(null);
      setProblem(null);
    };
  }, [watching]);
  return {
    speed,
    problem:
      watching && !hasPosition()
        ? 'Your browser gives no position here, so your speed is not known.'
        : problem,
  };
}
