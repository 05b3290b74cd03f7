import type { MountFault } from '@/core/bench';
import { useEffect, useState } from 'react';
import type { Brief } from '@/core/advice';
import type { Picture, Settings } from '@/core/picture';
import type { Rig } from '@/core/rig';
import { benchWorker } from '@/workers';

/** A change rests this long before it is drawn, ms: a dial being dragged is not. */
const REST_MS = 120;

/** The miniature of a setup, drawn in the worker; the last one stays until the next is there. */
export function useMiniature(
  brief: Brief,
  rig: Rig,
  settings: Settings,
  fault: MountFault | null = null,
): { picture: Picture | null; problem: string | null } {
  const [picture, setPicture] = useState<Picture | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  // A setup worked out anew with the same numbers is the same setup.
  const key = JSON.stringify([brief, rig, settings, fault]);
  useEffect(() => {
    let gone = false;
    const timer = setTimeout(() => {
      const [b, r, s, f] = JSON.parse(key) as [Brief, Rig, Settings, MountFault | null];
      benchWorker()
        .run({ kind: 'miniature', brief: b, rig: r, settings: s, fault: f }, { lane: `miniature-${f}` })
        .then(
          ({ result }) => {
            if (gone) return;
            setPicture(result.picture);
            setProblem(null);
          },
          (error: unknown) => {
            // A newer one of the same kind is on its way when this one was given up.
            if (!gone && !(error instanceof Error && 'code' in error && error.code === 'superseded'))
              setProblem('The miniature could not be drawn.');
          },
        );
    }, REST_MS);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [key]);
  return { picture, problem };
}
