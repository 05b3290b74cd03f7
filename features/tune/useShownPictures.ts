import { useEffect } from 'react';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Settings } from '@/core/picture';
import {
  otherFaceOf,
  otherSettings,
  passStore,
  prepareLook,
  viewOf,
  viewStore,
  type Pictures,
} from '@/stores';
import { useWide } from '@/ui';
import { pictureKindOf, usePalette } from '../usePalette';

/** Beams of the pass on the bench: of a simulated one the boat's, of a recording its own. */
export function useFaces(): readonly { id: string; label: string }[] {
  const faces = useStore(passStore, (s) => s.pass.rig.faces);
  const ofFile = useStore(passStore, (s) => s.pass.source.kind === 'recording');
  const recorded = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.faces);
  return ofFile ? (recorded ?? []) : faces;
}

/** How many pictures are shown, and how the other one is set; a wide screen has room for two. */
export function useShownPictures(): { pictures: Pictures; other: Settings | null; wiped: boolean } {
  const wide = useWide();
  const faces = useFaces();
  const otherId = useStore(passStore, (s) => otherFaceOf(s, faces));
  const chosen = useStore(passStore, (s) => s.pictures) ?? (wide ? 'two' : 'one');
  const pictures = otherId === null ? 'one' : chosen;
  const kind = useStore(passStore, (s) => pictureKindOf(s.pass.rig.faces.find((f) => f.id === otherId)));
  const palette = usePalette(kind);
  const other = useStore(
    passStore,
    useShallow((s) =>
      pictures === 'one' || otherId === null ? null : { ...otherSettings(s, otherId), palette },
    ),
  );
  const pass = useStore(passStore, (s) => s.pass);
  useEffect(() => {
    if (pictures !== 'one' && otherId !== null) prepareLook(otherId);
  }, [pictures, otherId, pass]);
  const compared = useStore(passStore, (s) => s.compared);
  // Two ways held against each other come before two beams.
  if (compared && (compared.side === 'beside' || compared.side === 'wipe'))
    return { pictures: 'two', other: compared.other, wiped: compared.side === 'wipe' };
  return compared ? { pictures: 'one', other: null, wiped: false } : { pictures, other, wiped: false };
}
