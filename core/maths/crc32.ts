/** What a byte does to the sum when none, one, two or three more follow it. */
const TABLES: Int32Array[] = (() => {
  const first = Int32Array.from({ length: 256 }, (_, byte) => {
    let crc = byte;
    for (let bit = 0; bit < 8; bit++) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0);
    return crc;
  });
  const tables = [first];
  for (let k = 1; k < 4; k++) tables.push(tables[k - 1]!.map((crc) => (crc >>> 8) ^ first[crc & 0xff]!));
  return tables;
})();

/** CRC-32 of bytes (ISO 3309), as eight hex digits. */
export function crc32(bytes: Uint8Array): string {
  const [t0, t1, t2, t3] = TABLES as [Int32Array, Int32Array, Int32Array, Int32Array];
  const fours = bytes.length - (bytes.length % 4);
  let crc = -1;
  for (let i = 0; i < fours; i += 4)
    crc =
      t3[(crc ^ bytes[i]!) & 0xff]! ^
      t2[((crc >>> 8) ^ bytes[i + 1]!) & 0xff]! ^
      t1[((crc >>> 16) ^ bytes[i + 2]!) & 0xff]! ^
      t0[((crc >>> 24) ^ bytes[i + 3]!) & 0xff]!;
  for (let i = fours; i < bytes.length; i++) crc = (crc >>> 8) ^ t0[(crc ^ bytes[i]!) & 0xff]!;
  return (~crc >>> 0).toString(16).padStart(8, '0');
}
