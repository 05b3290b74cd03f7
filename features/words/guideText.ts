import { GUIDE } from './guide';

const PICTURES: Readonly<Record<string, string>> = {
  plan: 'plan-phone.png',
  deck: 'deck-phone.png',
  read: 'read-phone.png',
  train: 'train-truth-phone.png',
};

/** The guide as Markdown, with the pictures of docs/screenshots. */
export const guideText = (): string =>
  [
    '# Guide',
    ...GUIDE.flatMap(({ title, paragraphs, picture }) => [
      `## ${title}`,
      ...paragraphs,
      ...(picture ? [`![${picture.label}](screenshots/${PICTURES[picture.name]})`] : []),
    ]),
  ].join('\n\n') + '\n';
