import { ENTRY_FORMAT, logFileParts, openData, tooLarge, writeText } from '@/core/formats';
import type { OpenLogTask } from '../protocol';
import { Refused, type Answer } from './answer';

/** Opens a log file whole or not at all; its entries come back as the texts the store keeps. @throws Refused with one sentence */
export async function openLog({ file }: OpenLogTask): Promise<Answer> {
  const large = tooLarge(file.size);
  if (large) throw new Refused(large);
  const parts = logFileParts(await file.text());
  if (!parts.ok) throw new Refused(parts.problem);
  const { version, list } = parts.value;
  const encoder = new TextEncoder();
  const offsets = new Uint32Array(list.length + 1);
  const texts = list.map((data, k) => {
    const entry = openData(ENTRY_FORMAT, version, data);
    if (!entry.ok)
      throw new Refused(
        `${entry.problem.replace('This log entry', `Entry ${k + 1} of this log`)} Nothing was changed.`,
      );
    const text = encoder.encode(writeText(ENTRY_FORMAT, entry.value));
    offsets[k + 1] = offsets[k]! + text.length;
    return text;
  });
  const bytes = new Uint8Array(offsets[list.length]!);
  texts.forEach((text, k) => bytes.set(text, offsets[k]!));
  return { result: { kind: 'open-log', bytes, offsets }, transfer: [bytes.buffer, offsets.buffer] };
}
