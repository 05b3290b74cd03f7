import { useRouter } from 'expo-router';
import { memo, type RefObject } from 'react';
import { StyleSheet, View } from 'react-native';
import type { PassSource } from '@/core/bench/passSource';
import type { Correction } from '@/core/logbook';
import { readPass, stopReading, type Asking, type PassReading } from '@/stores';
import { Button, EmptyState, Text } from '@/ui';
import { AskingNote } from '../tune/AskingNote';
import { AddedMarks } from './AddedMarks';
import { AlsoSeen } from './AlsoSeen';
import { FindingList } from './FindingList';
import { PictureDoctor } from './PictureDoctor';
import { SeenSwitches } from './SeenSwitches';
import { TakeAway } from './TakeAway';
import { TogetherLine } from './TogetherLine';
import { TruthLine } from './TruthLine';
import type { OtherBeam } from './useTogether';
import type { Truth } from './useTruth';

interface Props {
  reading: PassReading | null;
  /** Share of a long pass that was read so far; null when all of it is. */
  share: number | null;
  asking: Asking;
  source: PassSource;
  corrections: readonly Correction[];
  truth: Truth | null;
  other: OtherBeam | null;
  otherLabel: string | null;
  paper: RefObject<View | null>;
}

/** What was found in a pass, and what can be done with it. Moving the picture redraws nothing of it. */
export const PassFindings = memo(function PassFindings({
  reading,
  share,
  asking,
  source,
  corrections,
  truth,
  other,
  otherLabel,
  paper,
}: Props) {
  const router = useRouter();
  return asking.problem && !reading ? (
    <EmptyState
      title="The pass was not read"
      hint={asking.problem}
      action={{ label: 'Read again', onPress: () => void readPass() }}
    />
  ) : !reading ? (
    <>
      <Text faint style={styles.pad}>
        Reading the pass…
      </Text>
      <AskingNote
        asking={asking}
        onStop={stopReading}
        onRetry={{ label: 'Read again', press: () => void readPass() }}
      />
    </>
  ) : (
    <View>
      {share !== null && (
        <View style={[styles.pad, styles.partly]}>
          <Text bold role="status" testID="read-share">
            {asking.problem
              ? `Reading stopped at ${Math.round(100 * share)} %.`
              : `${Math.round(100 * share)} % is read. More marks follow.`}
          </Text>
          {asking.problem && <Button label="Read again" onPress={() => void readPass()} />}
        </View>
      )}
      <SeenSwitches reading={reading.reading} made={source.kind !== 'recording'} other={otherLabel} />
      {reading.reading.findings.length === 0 && (
        <EmptyState
          title="Nothing stands out"
          hint="No mark stands clear of the noise in this pass. Try another beam, or other water."
          action={{ label: 'Go to Tune', onPress: () => router.push('/tune') }}
        />
      )}
      {source.kind === 'recording' && source.placeless && (
        <>
          <PictureDoctor reading={reading} />
          <Text faint kind="small" style={styles.pad}>
            Read from a picture: it holds less than pings do. Strengths are relative, and nothing has a place.
          </Text>
        </>
      )}
      {other && <TogetherLine other={other} />}
      {truth && <TruthLine reading={reading} truth={truth} />}
      <FindingList reading={reading} corrections={corrections} truth={truth} other={other} />
      <AddedMarks corrections={corrections} title={reading.facts.title} />
      <AlsoSeen reading={reading} />
      <TakeAway reading={reading} corrections={corrections} picture={paper} />
      <Text faint kind="small" style={styles.pad}>
        The app reads marks. It cannot tell the kind of fish.
      </Text>
    </View>
  );
});

const styles = StyleSheet.create({
  pad: { padding: 12 },
  partly: { gap: 8 },
});
