import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { BigButton, Button, Text, useWide } from '@/ui';
import { useSlow } from '../useSlow';
import { useUnits } from '../units';
import { DRILL_WORDS, questionWords } from '../words/training';
import { RoundAnswer } from './RoundAnswer';
import { RoundDials } from './RoundDials';
import { RoundPicture } from './RoundPicture';
import { RoundTruth } from './RoundTruth';
import { SittingEnd } from './SittingEnd';
import { dialled, nextRound, sittingStore, stopSitting } from './sittingStore';

/** Rounds of a drill, one after the other. */
export function SittingView() {
  const wide = useWide();
  const units = useUnits();
  const { running, round, given, turned, problem } = useStore(sittingStore);
  const making = useSlow(running !== null && round === null && problem === null ? 'making' : null);
  if (!running) return null;
  const { drill, ahead, of, sitting, trained } = running;
  const at = Math.min(of, sitting.answers.length + (given ? 0 : 1));
  const over = ahead.length === 0 && round === null;
  const settings = turned?.settings ?? round?.settings;
  const picture = turned?.picture ?? round?.picture;
  const truth = round && given;
  const beside = round?.beside ?? null;
  const both = round?.drill === 'place';
  return (
    <View style={styles.sitting}>
      <View style={styles.head}>
        <Text kind="title" style={styles.grow}>
          {DRILL_WORDS[drill].title}
        </Text>
        {!over && <Text faint testID="round-count">{`${at} of ${of}`}</Text>}
        <Button
          tone="quiet"
          label={over ? 'All drills' : 'Stop'}
          onPress={stopSitting}
          testID="stop-sitting"
        />
      </View>
      {problem && (
        <View role="alert" style={styles.part}>
          <Text>{problem}</Text>
          {!over && <BigButton label="Go on" onPress={nextRound} />}
        </View>
      )}
      {over ? (
        <SittingEnd running={running} />
      ) : (
        round &&
        picture &&
        settings && (
          <View style={[styles.body, wide && styles.wide]}>
            <View style={styles.pictures}>
              <RoundPicture
                // A mended picture comes with the truth, in place of the broken one on a phone.
                picture={truth && beside && !both && !wide ? beside : picture}
                settings={settings}
                rings={truth ? round.truthRings : round.rings}
                label={`${questionWords(round, units)} The picture of your unit${round.rings.length > 0 ? ', with what is asked about in a box' : ''}.`}
              />
              {beside && (both || (truth && wide)) && (
                <RoundPicture
                  picture={beside}
                  settings={settings}
                  rings={[]}
                  label={both ? 'The same water on the narrow beam' : 'The same water, set right'}
                  testID="round-beside"
                />
              )}
            </View>
            <View style={[styles.below, wide && styles.side]}>
              {truth ? (
                <RoundTruth
                  round={round}
                  right={given.right}
                  dialled={
                    turned && turned.score !== null ? { score: turned.score, turns: turned.turns } : null
                  }
                  last={ahead.length === 1}
                />
              ) : (
                <>
                  <Text bold testID="question">
                    {questionWords(round, units)}
                  </Text>
                  {turned ? (
                    <>
                      <RoundDials settings={turned.settings} rig={trained.rig} />
                      <BigButton
                        tone="main"
                        label="That is it"
                        disabled={turned.score === null}
                        onPress={dialled}
                        testID="dialled"
                      />
                    </>
                  ) : (
                    <RoundAnswer key={round.seed} round={round} />
                  )}
                </>
              )}
            </View>
          </View>
        )
      )}
      {making && (
        <Text faint role="status" style={styles.part}>
          Making the water…
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  sitting: { flex: 1, minHeight: 0, gap: 6 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
  part: { gap: 8 },
  body: { flex: 1, minHeight: 0, gap: 8 },
  wide: { flexDirection: 'row', gap: 20 },
  pictures: { flex: 1, minHeight: 0, gap: 6 },
  below: { gap: 8, paddingBottom: 8 },
  side: { width: 400, justifyContent: 'flex-start' },
});
