import { useStore } from 'zustand';
import { PALETTES, palettesFor, type PictureKind } from '@/core/picture';
import { choosePalette, passStore } from '@/stores';
import { Chips, useTones } from '@/ui';
import { pictureKindOf, usePalette } from '../usePalette';

/** The kind of picture the beam on the bench draws. */
export const useShownKind = (): PictureKind =>
  useStore(passStore, (s) => pictureKindOf(s.pass.rig.faces.find((f) => f.id === s.settings.faceId)));

/** Palettes for the light the screen has now. */
export function PaletteChips() {
  const { light } = useTones();
  const kind = useShownKind();
  const palette = usePalette(kind);
  return (
    <Chips
      label="Palette"
      value={palette}
      options={palettesFor(light, kind).map((name) => ({ value: name, label: PALETTES[name].label }))}
      onChange={(name) => choosePalette(light, kind, name)}
    />
  );
}
