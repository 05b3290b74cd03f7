import { targetOf } from '@/core/advice';
import type { PassSource } from '@/core/bench/passSource';
import type { Units } from '../units';
import { PRESENTATION_WORDS } from './brief';

/** What a pass was over, in a line. */
export function sourceWords(source: PassSource, { show, band }: Units): string {
  if (source.kind === 'scene') return `Named water, no. ${source.seed}.`;
  if (source.kind === 'recording') return `From the recording ${source.name}.`;
  const { brief } = source;
  const speed = brief.speedMps > 0.05 ? ` at ${show('speed', brief.speedMps)}` : '';
  return `${targetOf(brief).label}, ${band('depth', brief.fromM, brief.toM, 0)}, ${PRESENTATION_WORDS[brief.presentation].sentence}${speed}.`;
}
