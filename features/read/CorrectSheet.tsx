import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CALLED, calledBy, MOST_PARTS, type Called, type Correction } from '@/core/logbook';
import type { Finding } from '@/core/reading';
import { Button, Dial, Sheet, Text } from '@/ui';
import { clock, useUnits } from '../units';
import { CALLED_WORDS } from '../words/called';
import type { PassPlace } from './readStore';

/** Marks offered as the one this is a part of: the nearest in time. */
const NEIGHBOURS = 6;

interface Props {
  finding: Finding;
  others: readonly Finding[];
  onSay: (correction: Correction) => void;
  onClose: () => void;
}

/** What a mark truly is, when the reader is wrong about it. */
export function CorrectSheet({ finding, others, onSay, onClose }: Props) {
  const { timeS, rangeM } = finding;
  const was = calledBy(finding);
  const [parts, setParts] = useState(2);
  const near = others
    .filter((o) => o.id !== finding.id && o.kind === finding.kind)
    .sort((a, b) => Math.abs(a.timeS - timeS) - Math.abs(b.timeS - timeS))
    .slice(0, NEIGHBOURS)
    .sort((a, b) => a.id - b.id);
  return (
    <Sheet title={`What is mark ${finding.id}?`} open onClose={onClose}>
      <View style={styles.chips}>
        {CALLED.filter((is) => is !== was).map((is) => (
          <Button
            key={is}
            label={CALLED_WORDS[is].chip}
            onPress={() => onSay({ change: 'renamed', timeS, rangeM, was, is })}
            testID={`is-${is}`}
          />
        ))}
      </View>
      {finding.kind !== 'cover' && (
        <View style={styles.part}>
          <Dial
            label="More than one"
            name="parts"
            value={parts}
            low={2}
            high={MOST_PARTS}
            step={1}
            show={(n) => `${n}`}
            onChange={setParts}
          />
          <Button
            label={`It is ${parts} of them`}
            onPress={() => onSay({ change: 'split', timeS, rangeM, was, parts })}
            testID="is-split"
          />
        </View>
      )}
      {near.length > 0 && (
        <View style={styles.part}>
          <Text bold>A part of another mark</Text>
          <View style={styles.chips}>
            {near.map((o) => (
              <Button
                key={o.id}
                label={`Mark ${o.id}`}
                onPress={() =>
                  onSay({
                    change: 'merged',
                    timeS,
                    rangeM,
                    was,
                    into: { timeS: o.timeS, rangeM: o.rangeM },
                  })
                }
              />
            ))}
          </View>
        </View>
      )}
    </Sheet>
  );
}

/** What a person sees where the reader has found nothing. */
export function AddSheet({
  place,
  onSay,
  onClose,
}: {
  place: PassPlace;
  onSay: (correction: Correction) => void;
  onClose: () => void;
}) {
  const { show } = useUnits();
  return (
    <Sheet title="What do you see here?" open onClose={onClose}>
      <Text faint>
        At {show('depth', place.rangeM, 1)}, {clock(place.timeS)} into the pass.
      </Text>
      <View style={styles.chips}>
        {CALLED.filter((is): is is Exclude<Called, 'nothing'> => is !== 'nothing').map((is) => (
          <Button
            key={is}
            label={CALLED_WORDS[is].chip}
            onPress={() => onSay({ change: 'added', ...place, is })}
            testID={`add-${is}`}
          />
        ))}
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  part: { gap: 8 },
});
