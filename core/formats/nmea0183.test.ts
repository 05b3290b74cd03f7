import { seededRandom } from '@/core/maths';
import { NO_FEED, valueNow, withReadings, type BoatFeed, type Quantity } from '@/core/feed';
import { roundS, simulatedBoat } from '@/core/bench/simulatedBoat';
import { boatSentences, readNmea, writeNmea } from './nmea0183';

const RAD = Math.PI / 180;
const said = (line: string): Record<string, number> => {
  const read = readNmea(line);
  if (read.kind !== 'said') throw new Error(`${line} is ${read.kind}`);
  return Object.fromEntries(read.readings.map((r) => [r.quantity, r.value]));
};
const close = (found: Record<string, number>, wanted: Partial<Record<Quantity, number>>): void => {
  expect(Object.keys(found).sort()).toEqual(Object.keys(wanted).sort());
  for (const [name, value] of Object.entries(wanted)) expect(found[name]).toBeCloseTo(value!, 5);
};

describe('a sentence', () => {
  it('of each kind says what it says', () => {
    close(
      said(
        writeNmea(
          'GPRMC',
          '123519',
          'A',
          '4807.038',
          'N',
          '01131.000',
          'E',
          '022.4',
          '084.4',
          '230394',
          '',
          '',
        ),
      ),
      {
        latitudeDeg: 48 + 7.038 / 60,
        longitudeDeg: 11 + 31 / 60,
        speedMps: (22.4 * 1852) / 3600,
        courseRad: 84.4 * RAD,
      },
    );
    close(
      said(
        writeNmea(
          'GPGGA',
          '123519',
          '4807.038',
          'S',
          '01131.000',
          'W',
          '1',
          '08',
          '0.9',
          '545.4',
          'M',
          '46.9',
          'M',
          '',
          '',
        ),
      ),
      {
        latitudeDeg: -(48 + 7.038 / 60),
        longitudeDeg: -(11 + 31 / 60),
        accuracyM: 2.25,
      },
    );
    close(said(writeNmea('GPVTG', '054.7', 'T', '034.4', 'M', '005.5', 'N', '010.2', 'K')), {
      courseRad: 54.7 * RAD,
      speedMps: (5.5 * 1852) / 3600,
    });
    close(said(writeNmea('VWVHW', '120.0', 'T', '118.0', 'M', '3.0', 'N', '5.6', 'K')), {
      headingRad: 120 * RAD,
    });
    close(said(writeNmea('HEHDT', '274.0', 'T')), { headingRad: 274 * RAD });
    close(said(writeNmea('HCHDG', '10.0', '', '', '12.0', 'W')), { headingRad: 358 * RAD });
    close(said(writeNmea('SDDBT', '36.1', 'f', '11.0', 'M', '6.0', 'F')), { depthM: 11 });
    close(said(writeNmea('SDDPT', '11.0', '0.4')), { depthM: 11.4 });
    close(said(writeNmea('SDDPT', '11.0', '-0.6')), { depthM: 11 });
    close(said(writeNmea('SDMTW', '17.5', 'C')), { temperatureC: 17.5 });
    close(said(writeNmea('SDMTW', '63.5', 'F')), { temperatureC: 17.5 });
    close(
      said(writeNmea('IIXDR', 'A', '2.0', 'D', 'PITCH', 'A', '-3.0', 'D', 'ROLL', 'U', '12.4', 'V', 'BATT')),
      {
        pitchRad: 2 * RAD,
        rollRad: -3 * RAD,
        supplyV: 12.4,
      },
    );
  });
  it('with empty fields says nothing of them, and not 0', () => {
    close(said(writeNmea('GPRMC', '123519', 'A', '', '', '', '', '', '', '230394', '', '')), {});
    close(said(writeNmea('SDDPT', '', '')), {});
    close(said(writeNmea('SDDBT', '36.1', 'f', '', 'M', '', 'F')), { depthM: 36.1 * 0.3048 });
    close(said(writeNmea('GPVTG', '', 'T', '', 'M', '', 'N', '10.8', 'K')), { speedMps: 3 });
  });
  it('that may not be believed says nothing', () => {
    close(
      said(writeNmea('GPRMC', '123519', 'V', '4807.038', 'N', '01131.000', 'E', '0', '0', '230394', '', '')),
      {},
    );
    close(
      said(
        writeNmea(
          'GPGGA',
          '123519',
          '4807.038',
          'N',
          '01131.000',
          'E',
          '0',
          '0',
          '',
          '',
          'M',
          '',
          'M',
          '',
          '',
        ),
      ),
      {},
    );
    // A compass that does not know its variation may be far off north.
    close(said(writeNmea('HCHDG', '10.0', '', '', '', '')), {});
  });
  it('that is cut, garbled or of no use is named as that', () => {
    const good = writeNmea('SDDPT', '11.0', '0.4');
    expect(readNmea(good.replace('11', '17')).kind).toBe('bad-checksum');
    expect(readNmea(good.slice(0, -2)).kind).toBe('malformed');
    expect(readNmea('$SDDPT,11.0,0.4').kind).toBe('malformed');
    expect(readNmea('x'.repeat(5000)).kind).toBe('malformed');
    expect(readNmea('').kind).toBe('malformed');
    expect(readNmea(writeNmea('GPGSV', '1', '1', '00')).kind).toBe('unused');
    expect(readNmea('!AIVDM,1,1,,A,13aEOK?P00PD2wVMdLDRhgvL289?,0*26').kind).toBe('unused');
  });
});

describe('an hour of the simulated boat', () => {
  it('goes through its own sentences as it is', () => {
    const boat = simulatedBoat(77);
    const all = Object.assign({}, ...boatSentences(boat, '060000', '020926').map(said)) as Record<
      string,
      number
    >;
    expect(all.depthM).toBeCloseTo(boat.depthM, 1);
    expect(all.latitudeDeg).toBeCloseTo(boat.place.latitudeDeg, 6);
    expect(all.speedMps).toBeCloseTo(boat.speedMps, 2);
    expect(all.supplyV).toBeCloseTo(boat.supplyV, 1);
    expect(roundS()).toBeGreaterThan(900);
  });
  it('with faults on the line shows nothing wrong as right', () => {
    const random = seededRandom(5).fork('faults');
    let feed: BoatFeed = NO_FEED;
    let [wrong, shown, bad] = [0, 0, 0];
    for (let s = 0; s < 3600; s++) {
      const boat = simulatedBoat(s);
      // A gap of ten seconds now and then.
      if (s % 300 < 290) {
        let lines = boatSentences(boat, '060000', '020926');
        const fault = random.integer(20);
        if (fault === 0) lines = lines.map((l) => l.slice(0, Math.floor(l.length * random.uniform())));
        if (fault === 1) lines = lines.map((l) => l.replace(/\d/, String(random.integer(10))));
        if (fault === 2) lines.push(writeNmea('IIDPT', (boat.depthM / 0.3048).toFixed(1), '0.0'));
        if (fault === 3) lines.push(writeNmea('SDDPT', (boat.depthM / 0.3048).toFixed(1), '0.0'));
        if (fault === 4)
          lines = boatSentences(
            { ...boat, place: { latitudeDeg: 12, longitudeDeg: 40 } },
            '060000',
            '020926',
          );
        if (fault === 5) lines = Array.from({ length: 200 }, () => lines).flat();
        const readings = lines.flatMap((line) => {
          const read = readNmea(line);
          if (read.kind === 'bad-checksum' || read.kind === 'malformed') bad++;
          return read.kind === 'said' ? read.readings : [];
        });
        feed = withReadings(feed, readings, s);
      }
      const depth = feed.values.depthM;
      if (!depth || valueNow(feed, 'depthM', s) === null) continue;
      shown++;
      // What is shown is what the boat had when it was said.
      if (Math.abs(depth.value - simulatedBoat(depth.atS).depthM) > 0.1) wrong++;
      const latitude = feed.values.latitudeDeg!;
      if (Math.abs(latitude.value - simulatedBoat(latitude.atS).place.latitudeDeg) > 1e-5) wrong++;
    }
    expect(shown).toBeGreaterThan(3500);
    expect(bad).toBeGreaterThan(100);
    expect(wrong).toBe(0);
  });
});
