import { strToU8, zipSync } from 'fflate';
import { seededRandom } from '@/core/maths';
import { backupTooLarge, readBackup, writeBackup } from './backupFile';

const MADE_AT = '2026-11-27T18:00:00.000Z';
const TEXTS = {
  'log/a1': '{"format":"nimble-echo-entry","version":1,"data":{"id":"a1","title":"Zander – Kante, 14 m"}}',
  'days/2026 09/ü': '{"x":1}',
  plan: '{"format":"nimble-echo-plan"}',
};
const FILES = { '5-17': Uint8Array.from([137, 72, 68, 70, 1]) };
const BACKUP = writeBackup({ madeAt: MADE_AT, texts: TEXTS, files: FILES });

describe('a backup', () => {
  it('comes out as it went in', () => {
    expect(readBackup(BACKUP)).toEqual({ ok: true, value: { madeAt: MADE_AT, texts: TEXTS, files: FILES } });
  });

  it('of a version before backups opens, and counts as the oldest', () => {
    const old = JSON.stringify({ format: 'nimble-echo-everything', version: 1, data: TEXTS }, null, 1);
    expect(readBackup(strToU8(old))).toMatchObject({ ok: true, value: { texts: TEXTS } });
  });

  it('that is none, is newer or too large costs one sentence', () => {
    const zip = (files: Record<string, string>): Uint8Array =>
      zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
    const manifest = (version: number): string =>
      JSON.stringify({ format: 'nimble-echo-backup', version, madeAt: MADE_AT, prints: {} });
    const cases: [Uint8Array, string][] = [
      [new Uint8Array(0), 'foreign'],
      [strToU8('hello'), 'foreign'],
      [strToU8('{"format":"other"}'), 'foreign'],
      [zip({ 'readme.txt': 'hello' }), 'foreign'],
      [zip({ 'backup.json': manifest(2) }), 'newer'],
      [zip({ 'backup.json': '{"format":"nimble-echo-backup"}' }), 'damaged'],
      [
        zip({
          'backup.json': manifest(1).replace('{}', '{"log/a":"0123456789abcdef"}'),
          'kept/log%2Fa.json': 'x',
        }),
        'damaged',
      ],
      [zip({ 'backup.json': manifest(1).replace('{}', '{"log/a":"0123456789abcdef"}') }), 'damaged'],
    ];
    for (const [bytes, cause] of cases) {
      const read = readBackup(bytes);
      expect(read).toMatchObject({ ok: false, cause });
      if (!read.ok) expect(read.problem).toMatch(/^[A-Z][^\n]{10,200}\.$/);
    }
    expect(backupTooLarge(265e6)).toMatchObject({ ok: false, cause: 'large' });
    expect(backupTooLarge(1e6)).toBeNull();
  });

  it('that unpacks to more than it may is refused, by what it claims or else by what comes out', () => {
    const claiming = (size: number): Uint8Array => {
      const packed = zipSync({ 'kept/a.json': new Uint8Array(3e6).fill(120) }, { level: 9 });
      const view = new DataView(packed.buffer, packed.byteOffset, packed.byteLength);
      // The size stands 22 bytes into the entry's own head, 24 into the directory at the end.
      view.setUint32(22, size, true);
      for (let at = 0; at + 46 < packed.length; at++)
        if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, size, true);
      return packed;
    };
    expect(readBackup(claiming(300e6))).toMatchObject({ ok: false, cause: 'large' });
    // A recording in it is never packed: one that is could unpack to anything.
    const packed = zipSync({ 'files/a': new Uint8Array(3e6) }, { level: 9 });
    expect(readBackup(packed)).toMatchObject({ ok: false, cause: 'large' });
    // A hundred entries of three megabytes each that claim a byte.
    const one = claiming(1);
    const entry = one.subarray(0, one.length - 22 - 46 - 'kept/a.json'.length);
    const many = new Uint8Array(entry.length * 100);
    for (let k = 0; k < 100; k++) many.set(entry, k * entry.length);
    expect(many.length).toBeLessThan(1e6);
    expect(readBackup(many)).toMatchObject({ ok: false, cause: 'large' });
  });

  it('damaged anywhere is opened whole or refused, never opened otherwise', () => {
    const random = seededRandom(3);
    let opened = 0;
    for (let k = 0; k < 300; k++) {
      const bytes = BACKUP.slice(0, k % 3 === 0 ? random.integer(BACKUP.length) : BACKUP.length);
      if (k % 3 !== 0)
        for (let n = 0; n <= k % 4; n++) bytes[random.integer(bytes.length)] = random.integer(256);
      const read = readBackup(bytes);
      if (read.ok) {
        opened++;
        expect(read.value.texts).toEqual(TEXTS);
      } else expect(read.problem).toMatch(/\.$/);
    }
    // Times, names and comments of a zip may differ and nothing is lost by it.
    expect(opened).toBeLessThan(200);
  });
});
