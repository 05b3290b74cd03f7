/** Writes docs/guide.md from the guide's words. Run with `npx tsx scripts/writeGuide.ts`. */
import { writeFileSync } from 'node:fs';
import { guideText } from '@/features/words/guideText';

writeFileSync('docs/guide.md', guideText());
