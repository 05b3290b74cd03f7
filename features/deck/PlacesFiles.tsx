import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Day } from '@/core/logbook/day';
import { addPlaces } from '@/stores';
import { BigButton, chooseFile, saveFile, Text } from '@/ui';

/** Marks and tracks out and in, in open kinds of file. */
export function PlacesFiles({ day }: { day: Day | null }) {
  const [said, setSaid] = useState<string | null>(null);
  const save = async (kind: 'gpx' | 'geojson' | 'csv'): Promise<void> => {
    if (!day) return;
    const { writeDayCsv, writeDayGeoJson, writeDayGpx } = await import('@/core/formats/exchange');
    if (kind === 'gpx') saveFile('day.gpx', writeDayGpx(day), 'application/gpx+xml');
    else if (kind === 'geojson') saveFile('day.geojson', writeDayGeoJson(day), 'application/geo+json');
    else saveFile('day.csv', writeDayCsv(day), 'text/csv');
  };
  const open = async (): Promise<void> => {
    const file = await chooseFile('.gpx,.geojson,.json,.csv');
    if (!file) return;
    const { LARGEST_PLACES_FILE, readGeoJson, readGpx, readPlacesCsv } =
      await import('@/core/formats/exchange');
    if (file.size > LARGEST_PLACES_FILE)
      return setSaid(
        `This file has ${Math.ceil(file.size / 1e6)} MB; ${LARGEST_PLACES_FILE / 1e6} MB is the most.`,
      );
    const text = await file.text();
    const read = /\.csv$/i.test(file.name) ? readPlacesCsv : /json$/i.test(file.name) ? readGeoJson : readGpx;
    const places = read(text);
    if (!places.ok) return setSaid(`${places.problem} Nothing was changed.`);
    const { marks, track, leftOut } = places.value;
    addPlaces(marks, track);
    setSaid(
      `${marks.length} ${marks.length === 1 ? 'mark' : 'marks'} and ${track.length} points of track taken in.${leftOut > 0 ? ` ${leftOut} points were not on the earth and are left out.` : ''}`,
    );
  };
  return (
    <View style={styles.part}>
      <Text bold style={styles.words}>
        Marks and track as a file
      </Text>
      <View style={styles.row}>
        {(['gpx', 'geojson', 'csv'] as const).map((kind) => (
          <BigButton
            key={kind}
            label={{ gpx: 'GPX', geojson: 'GeoJSON', csv: 'Table' }[kind]}
            disabled={!day}
            onPress={() => void save(kind)}
            testID={`save-day-${kind}`}
          />
        ))}
        <BigButton label="Open a file" onPress={() => void open()} testID="open-places" />
      </View>
      {said && (
        <Text role="status" style={styles.words} testID="places-said">
          {said}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 10 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
  words: { fontSize: 20, lineHeight: 27 },
});
