import { useEffect } from 'react';
import { useStore } from 'zustand';
import type { PaletteName, PictureKind } from '@/core/picture';
import type { Face } from '@/core/rig';
import { changeSettings, paletteOf, passStore, preferenceStore } from '@/stores';
import { useTones } from '@/ui';

/** The kind of picture a face draws. */
export const pictureKindOf = (face: Pick<Face, 'beam'> | undefined): PictureKind =>
  face?.beam.shape === 'fan' ? 'slice' : 'cone';

/** The palette of a kind of picture in the light the screen has now. */
export function usePalette(kind: PictureKind): PaletteName {
  const { light } = useTones();
  return useStore(preferenceStore, (s) => paletteOf(s, light, kind));
}

/** Keeps the bench's picture in the palette of the light, whatever is taken to it. */
export function usePictureInThisLight(): void {
  const palette = useStore(passStore, (s) => s.settings.palette);
  const kind = useStore(passStore, (s) =>
    pictureKindOf(s.pass.rig.faces.find((f) => f.id === s.settings.faceId)),
  );
  const wanted = usePalette(kind);
  useEffect(() => {
    if (palette !== wanted) changeSettings({ palette: wanted });
  }, [palette, wanted]);
}
