import type { Random } from '@/core/maths';

/** Bits of text that have broken readers before. */
const NASTY = [
  '1e999',
  '-1',
  'null',
  '{}',
  '[]',
  '""',
  'NaN',
  '\u0000',
  '\ufeff',
  '__proto__',
  '[['.repeat(3000),
  '<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa">]>',
  '&a;',
  '9'.repeat(400),
  '"'.repeat(99),
];

/** A file damaged somewhere: cut, changed, doubled, or with something nasty put in. */
export function mutate(bytes: Uint8Array, random: Random): Uint8Array {
  let out = bytes;
  const times = 1 + random.integer(3);
  for (let k = 0; k < times; k++) {
    const at = random.integer(Math.max(1, out.length));
    const to = Math.min(out.length, at + 1 + random.integer(1 + Math.min(400, out.length)));
    switch (random.integer(6)) {
      case 0:
        out = out.slice(0, at);
        break;
      case 1:
        out = Uint8Array.from([...out.subarray(0, at), ...out.subarray(to)]);
        break;
      case 2:
        out = Uint8Array.from([...out.subarray(0, to), ...out.subarray(at)]);
        break;
      case 3: {
        const nasty = new TextEncoder().encode(NASTY[random.integer(NASTY.length)]!);
        out = Uint8Array.from([...out.subarray(0, at), ...nasty, ...out.subarray(to)]);
        break;
      }
      case 4: {
        // A digit for another, or more of them.
        out = out.slice();
        for (let i = at; i < out.length; i++)
          if (out[i]! >= 48 && out[i]! <= 57) {
            out[i] = 48 + random.integer(10);
            break;
          }
        break;
      }
      default:
        out = out.slice();
        for (let n = 0; n < 4 && out.length > 0; n++) out[random.integer(out.length)] = random.integer(256);
    }
  }
  return out;
}
