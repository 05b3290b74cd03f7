import { useState, type RefObject } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Correction } from '@/core/logbook';
import { passStore, recordingFileOf, type PassReading } from '@/stores';
import { Button, saveBlob, saveFile, Text, useTones } from '@/ui';
import { clock, useUnits } from '../units';
import { db } from '../words/numbers';
import { annotatedPicture } from './annotatedPicture';

interface Props {
  reading: PassReading;
  corrections: readonly Correction[];
  /** What stands on the screen. */
  picture: RefObject<unknown>;
}

/** What was read, to be taken away: a table, places, the picture with its marks. */
export function TakeAway({ reading, corrections, picture }: Props) {
  const tones = useTones();
  const { show } = useUnits();
  const [problem, setProblem] = useState<string | null>(null);
  const [writing, setWriting] = useState(false);
  const { title, durationS } = reading.facts;
  const beamName = (): string => {
    const { pass, settings } = passStore.getState();
    return (
      [...reading.facts.faces, ...pass.rig.faces].find((f) => f.id === settings.faceId)?.label ??
      settings.faceId
    );
  };
  const findings = () => {
    const { source } = passStore.getState().pass;
    return {
      title,
      simulated: source.kind !== 'recording',
      beam: beamName(),
      reading: reading.reading,
      marks: source.kind === 'recording' && source.placeless ? [] : reading.marks,
      corrections,
    };
  };
  const saveTable = async (): Promise<void> => {
    const { findingsCsv } = await import('@/core/formats/exchange');
    saveFile('findings.csv', findingsCsv(findings()), 'text/csv');
  };
  const savePlaces = async (): Promise<void> => {
    const { findingsGeoJson } = await import('@/core/formats/exchange');
    saveFile('findings.geojson', findingsGeoJson(findings()), 'application/geo+json');
  };
  const savePicture = async (): Promise<void> => {
    const { settings, pass } = passStore.getState();
    const lines = [
      `${title}, ${clock(durationS)} long${pass.source.kind === 'recording' ? '' : ', simulated'}. ${beamName()}.`,
      `Range ${show('depth', settings.rangeM, 0)}, gain ${db(settings.gainDb)}, ${settings.pingRate} pings a second.`,
      'Marks are readings, not identifications.',
    ];
    try {
      saveBlob(
        'pass.png',
        await annotatedPicture(picture.current as HTMLElement, lines, settings.palette, tones),
      );
      setProblem(null);
    } catch {
      setProblem('The picture could not be made here. Take a screenshot instead.');
    }
  };
  const savePings = async (): Promise<void> => {
    const { settings, pass } = passStore.getState();
    setProblem(null);
    setWriting(true);
    try {
      saveBlob('pass.nc', new Blob([await recordingFileOf(pass, settings)]));
    } catch (error) {
      setProblem(`The recording could not be written. ${error instanceof Error ? error.message : ''}`);
    } finally {
      setWriting(false);
    }
  };
  return (
    <View style={styles.part}>
      <Text bold>Take it away</Text>
      <View style={styles.row}>
        <Button
          label="Table"
          spoken="Save the findings as a CSV table"
          onPress={() => void saveTable()}
          testID="save-csv"
        />
        <Button
          label="Places"
          spoken="Save the findings as GeoJSON places"
          onPress={() => void savePlaces()}
          testID="save-geojson"
        />
        <Button
          label="Picture"
          spoken="Save the picture with its marks as PNG"
          onPress={() => void savePicture()}
          testID="save-png"
        />
        <Button
          label={writing ? 'Writing…' : 'Recording'}
          spoken="Save the pings as a recording that other programs read too"
          disabled={writing}
          onPress={() => void savePings()}
          testID="save-recording"
        />
      </View>
      {problem && <Text role="alert">{problem}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { padding: 12, gap: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
