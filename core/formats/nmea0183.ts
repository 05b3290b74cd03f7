import { DefaultPacketFactory, parseGenericPacket, type Packet } from 'nmea-simple';
import type { BoatReading, Quantity } from '@/core/feed';
import type { SimulatedBoat } from '@/core/bench/simulatedBoat';
import { degToRad, kmhToMps, knotsToMps, mpsToKnots, radToDeg } from '@/core/units';

/** Longest sentence there may be with its line end, characters (NMEA 0183; 82, some talkers go over it). */
export const LONGEST_SENTENCE = 120;

/** The antenna's place is good to so much for each unit of dilution, m. */
const METRES_A_DILUTION = 2.5;

/** Sentences the library does not know, as their fields. */
interface RawPacket {
  sentenceId: 'DPT' | 'MTW' | 'XDR' | '?';
  talkerId: string;
  fields: string[];
}
const OWN = new Set(['DPT', 'MTW', 'XDR']);

/** Hands over the fields too: the library takes an empty field for 0. */
class Factory extends DefaultPacketFactory<RawPacket> {
  fields: string[] = [];
  override assemble(
    stub: Parameters<DefaultPacketFactory['assemble']>[0],
    fields: string[],
  ): Packet | RawPacket | null {
    this.fields = fields;
    return super.assemble(stub, fields);
  }
  override assembleCustomPacket(
    stub: Parameters<DefaultPacketFactory['assemble']>[0],
    fields: string[],
  ): RawPacket {
    const sentenceId = (OWN.has(stub.sentenceId) ? stub.sentenceId : '?') as RawPacket['sentenceId'];
    return { sentenceId, talkerId: stub.talkerId ?? '', fields };
  }
}

const factory = new Factory();
const number = (field: string | undefined): number =>
  field === undefined || field.trim() === '' ? NaN : Number(field);
const bearing = (deg: number): number => degToRad(((deg % 360) + 360) % 360);

/** What one line said, or why it said nothing: its checksum, its form, or a sentence nobody here needs. */
export type NmeaLine =
  { kind: 'said'; readings: BoatReading[] } | { kind: 'bad-checksum' | 'malformed' | 'unused' };

/** Transducers of an XDR sentence: four fields each. Names differ between makers; type and unit tell most of it. */
function transducersOf(fields: readonly string[]): [Quantity, number][] {
  const out: [Quantity, number][] = [];
  for (let i = 1; i + 3 < fields.length; i += 4) {
    const [type, text, unit, name = ''] = fields.slice(i, i + 4);
    const value = number(text);
    if (type === 'A' && unit === 'D' && /pitch|ptch/i.test(name)) out.push(['pitchRad', degToRad(value)]);
    else if (type === 'A' && unit === 'D' && /roll|heel/i.test(name)) out.push(['rollRad', degToRad(value)]);
    else if (type === 'U' && unit === 'V') out.push(['supplyV', value]);
    else if (type === 'C' && unit === 'C' && /wat|sea/i.test(name)) out.push(['temperatureC', value]);
  }
  return out;
}

/** The quantities of a sentence; NaN where a field is empty. */
function quantitiesOf(packet: Packet | RawPacket, fields: readonly string[]): [Quantity, number][] | null {
  const filled = (at: number): boolean => (fields[at] ?? '').trim() !== '';
  const when = (at: number, value: number): number => (filled(at) ? value : NaN);
  switch (packet.sentenceId) {
    case 'RMC':
      // A receiver that has lost the sky still talks, and says that it may not be believed.
      if (packet.status !== 'valid') return [];
      return [
        ['latitudeDeg', when(3, packet.latitude)],
        ['longitudeDeg', when(5, packet.longitude)],
        ['speedMps', when(7, knotsToMps(packet.speedKnots))],
        ['courseRad', when(8, bearing(packet.trackTrue))],
      ];
    case 'GGA':
      if (packet.fixType === 'none') return [];
      return [
        ['latitudeDeg', when(2, packet.latitude)],
        ['longitudeDeg', when(4, packet.longitude)],
        ['accuracyM', when(8, METRES_A_DILUTION * packet.horizontalDilution)],
      ];
    case 'VTG':
      return [
        ['courseRad', when(1, bearing(packet.trackTrue))],
        ['speedMps', filled(5) ? knotsToMps(packet.speedKnots) : when(7, kmhToMps(packet.speedKmph ?? NaN))],
      ];
    case 'VHW':
      // Speed through the water is not speed over the ground: only the heading is taken.
      return [['headingRad', when(1, bearing(packet.degreesTrue))]];
    case 'HDT':
      return [['headingRad', when(1, bearing(packet.heading))]];
    case 'HDG': {
      const towards = (size: number, pole: string): number =>
        pole === 'W' ? -size : pole === 'E' ? size : 0;
      const turned =
        packet.heading +
        towards(packet.deviation, packet.deviationDirection) +
        towards(packet.variation, packet.variationDirection);
      // Without a variation it is magnetic, and may be 20° off.
      return filled(4) ? [['headingRad', when(1, bearing(turned))]] : [];
    }
    case 'DBT':
      return [['depthM', filled(3) ? packet.depthMeters : when(1, packet.depthFeet * 0.3048)]];
    case 'DPT': {
      const offset = number(packet.fields[2]);
      // A positive offset is up to the surface; a negative one down to the keel, of no use here.
      return [['depthM', number(packet.fields[1]) + (offset > 0 ? offset : 0)]];
    }
    case 'MTW':
      return packet.fields[2] === 'C' || !packet.fields[2]
        ? [['temperatureC', number(packet.fields[1])]]
        : [['temperatureC', ((number(packet.fields[1]) - 32) * 5) / 9]];
    case 'XDR':
      return transducersOf(packet.fields);
    default:
      return null;
  }
}

/** What a line of NMEA 0183 says of the boat. Never throws: a boat's network is full of noise. */
export function readNmea(line: string): NmeaLine {
  const sentence = line.trim();
  if (
    !/^[$!][A-Z0-9]{4,8},[\x20-\x7e]*\*[0-9A-Fa-f]{2}$/.test(sentence) ||
    sentence.length > LONGEST_SENTENCE
  )
    return { kind: 'malformed' };
  if (sentence.startsWith('!')) return { kind: 'unused' };
  let packet: Packet | RawPacket;
  try {
    packet = parseGenericPacket<Packet | RawPacket>(sentence, factory as never);
  } catch (error) {
    return {
      kind: error instanceof Error && /Invalid sentence/.test(error.message) ? 'bad-checksum' : 'malformed',
    };
  }
  const from = `${packet.talkerId ?? ''}${packet.sentenceId}`;
  const quantities = quantitiesOf(packet, factory.fields);
  if (quantities === null) return { kind: 'unused' };
  const readings = quantities
    .filter(([, value]) => Number.isFinite(value))
    .map(([quantity, value]) => ({ quantity, value, from: packet.talkerId || from }));
  return { kind: 'said', readings };
}

/** A sentence with its checksum, of fields from the talker and sentence name on. */
export function writeNmea(...fields: readonly (string | number)[]): string {
  const body = fields.join(',');
  let sum = 0;
  for (let i = 0; i < body.length; i++) sum ^= body.charCodeAt(i);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, '0')}`;
}

/** Degrees and minutes as sentences have them. */
function degMin(deg: number, digits: number): string {
  // Rounded as a whole, or 59.99996 minutes would be written as 60.
  const minutes = Math.round(Math.abs(deg) * 60 * 1e4) / 1e4;
  const whole = Math.floor(minutes / 60);
  return `${String(whole).padStart(digits, '0')}${(minutes - 60 * whole).toFixed(4).padStart(7, '0')}`;
}

/** What a boat's instruments would send at a moment. @param hhmmss time of day in UTC, and the date as ddmmyy */
export function boatSentences(boat: SimulatedBoat, hhmmss: string, ddmmyy: string): string[] {
  const { latitudeDeg, longitudeDeg } = boat.place;
  const place = [
    degMin(latitudeDeg, 2),
    latitudeDeg < 0 ? 'S' : 'N',
    degMin(longitudeDeg, 3),
    longitudeDeg < 0 ? 'W' : 'E',
  ];
  const deg = (rad: number): string => (((radToDeg(rad) % 360) + 360) % 360).toFixed(1);
  return [
    writeNmea(
      'GPRMC',
      hhmmss,
      'A',
      ...place,
      mpsToKnots(boat.speedMps).toFixed(2),
      deg(boat.courseRad),
      ddmmyy,
      '',
      '',
    ),
    writeNmea('GPGGA', hhmmss, ...place, 8, 11, '1.0', '0.0', 'M', '0.0', 'M', '', ''),
    writeNmea('HCHDT', deg(boat.headingRad), 'T'),
    writeNmea('SDDPT', boat.depthM.toFixed(2), '0.0'),
    writeNmea('SDMTW', boat.temperatureC.toFixed(1), 'C'),
    writeNmea(
      'IIXDR',
      ...['A', radToDeg(boat.pitchRad).toFixed(1), 'D', 'PITCH'],
      ...['A', radToDeg(boat.rollRad).toFixed(1), 'D', 'ROLL'],
      ...['U', boat.supplyV.toFixed(2), 'V', 'SUPPLY'],
    ),
  ];
}
