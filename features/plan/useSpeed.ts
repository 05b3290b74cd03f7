import { useEffect, useState } from 'react';

/** Speed over ground by the device's own position, m/s; null while it is not watched or not known. */
export function useSpeed(watching: boolean): number | null {
  const [speed, setSpeed] = useState<number | null>(null);
  useEffect(() => {
    if (!watching || typeof navigator === 'undefined' || !navigator.geolocation) return;
    const id = navigator.geolocation.watchPosition(
      ({ coords }) => setSpeed(coords.speed),
      () => setSpeed(null),
      { enableHighAccuracy: true, maximumAge: 2000 },
    );
    return () => {
      navigator.geolocation.clearWatch(id);
      setSpeed(null);
    };
  }, [watching]);
  return speed;
}
