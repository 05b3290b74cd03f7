import { memo, type ReactNode } from 'react';
import { Button, Sheet } from '@/ui';
import type { BriefPiece } from '../../words/brief';
import { BeamChooser } from './BeamChooser';
import { DepthChooser } from './DepthChooser';
import { PresentationChooser } from './PresentationChooser';
import { SpeciesChooser } from './SpeciesChooser';
import { WaterChooser } from './WaterChooser';

const TITLE: Record<BriefPiece, string> = {
  species: 'Fish and size',
  depth: 'Depth',
  water: 'Water',
  presentation: 'How you fish',
  beam: 'Beam and transducer',
};

const CHOOSER: Record<BriefPiece, () => ReactNode> = {
  species: SpeciesChooser,
  depth: DepthChooser,
  water: WaterChooser,
  presentation: PresentationChooser,
  beam: BeamChooser,
};

interface Props {
  piece: BriefPiece | null;
  onClose: () => void;
}

/** The chooser of one piece of the brief: it follows the plan by itself, whatever is drawn under it. */
export const BriefSheet = memo(function BriefSheet({ piece, onClose }: Props) {
  if (!piece) return null;
  const Chooser = CHOOSER[piece];
  return (
    <Sheet title={TITLE[piece]} open onClose={onClose}>
      <Chooser />
      <Button tone="main" label="Done" onPress={onClose} />
    </Sheet>
  );
});
