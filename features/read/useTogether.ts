import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { otherFaceOf, otherSettings, passStore, withRecording, type PassReading } from '@/stores';
import { secondWorker, TaskFailed, type TogetherMark } from '@/workers';
import { readStore } from './readStore';

/** How the marks stand against another beam's. */
export interface OtherBeam {
  /** What the other beam is called. */
  label: string;
  /** Null while it is read. */
  marks: readonly TogetherMark[] | null;
  problem: string | null;
}

const LANE = 'together';

export const stopTogether = (): void => {
  secondWorker().cancel(LANE);
  readStore.setState({ together: false });
};

/** The other beam of the boat, by its name; null where there is one beam only. */
export function useOtherBeam(reading: PassReading | null): { faceId: string; label: string } | null {
  const pass = useStore(passStore, (s) => s.pass);
  const faceId = useStore(passStore, (s) => {
    const faces = reading?.facts.faces ?? [];
    // A recording has the beams it was made with, whatever the boat has.
    const known = faces.map((f) => s.pass.rig.faces.find((own) => own.id === f.id) ?? f);
    return otherFaceOf(s, known);
  });
  return useMemo(() => {
    if (faceId === null) return null;
    const faces = [...(reading?.facts.faces ?? []), ...pass.rig.faces];
    return { faceId, label: faces.find((f) => f.id === faceId)?.label ?? faceId };
  }, [faceId, reading, pass]);
}

/** Holds the marks of a reading against another beam's, when asked to. */
export function useTogether(
  reading: PassReading | null,
  beam: { faceId: string; label: string } | null,
): OtherBeam | null {
  const asked = useStore(readStore, (s) => s.together);
  const [known, setKnown] = useState<{ of: PassReading; faceId: string; told: OtherBeam } | null>(null);
  const faceId = beam?.faceId ?? null;
  const label = beam?.label ?? '';
  useEffect(() => {
    if (!asked || !reading || faceId === null) return;
    let gone = false;
    const state = passStore.getState();
    const { pass, settings } = state;
    const tell = (told: Omit<OtherBeam, 'label'>): void =>
      gone ? undefined : setKnown({ of: reading, faceId, told: { label, ...told } });
    withRecording(
      pass,
      () =>
        secondWorker().run(
          { kind: 'together', pass, settings, other: otherSettings(state, faceId) },
          { lane: LANE },
        ),
      secondWorker(),
    ).then(
      ({ result }) => tell({ marks: result.marks, problem: null }),
      (error: unknown) => {
        if (error instanceof TaskFailed && (error.code === 'superseded' || error.code === 'cancelled'))
          return;
        tell({ marks: null, problem: error instanceof Error ? error.message : String(error) });
      },
    );
    return () => {
      gone = true;
    };
  }, [asked, reading, faceId, label]);
  const waiting = useMemo(() => ({ label, marks: null, problem: null }), [label]);
  if (!asked || !beam) return null;
  return known && known.of === reading && known.faceId === faceId ? known.told : waiting;
}
