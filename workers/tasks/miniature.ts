import { faultMiniature, miniature as drawMiniature } from '@/core/bench';
import type { MiniatureTask } from '../protocol';
import type { Answer } from './answer';
import { pictureBuffers } from './draw';

export function miniature({ brief, rig, settings, fault }: MiniatureTask): Answer {
  const picture =
    fault === null ? drawMiniature(brief, rig, settings) : faultMiniature(brief, rig, settings, fault);
  return { result: { kind: 'miniature', picture }, transfer: pictureBuffers(picture) };
}
