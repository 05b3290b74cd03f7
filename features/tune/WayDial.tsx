import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { problemOf } from '@/core/formats';
import { WAYS, type Way } from '@/core/scene/choices';
import { measure } from '@/core/units';
import { notify, passStore, steer, unsteer, viewOf, viewStore } from '@/stores';
import { Button, Dial, Text } from '@/ui';
import { useUnits } from '../units';

const WORDS: Record<Way, string> = {
  idle: 'Idle along',
  drift: 'Drift',
  hold: 'Hold',
  plane: 'Plane',
  back: 'Turn back over it',
};

/** Slowest and fastest of an idling boat, m/s. */
const SLOWEST_MPS = 0.3;
const FASTEST_MPS = 4;
const USUAL_MPS = 1.5;

/** What the boat does from the right edge of the picture on; the pass then runs on from there. */
export function WayDial() {
  const { system, show } = useUnits();
  const [speedMps, setSpeed] = useState(USUAL_MPS);
  const source = useStore(passStore, (s) => s.pass.source);
  const nowS = useStore(passStore, (s) => s.nowS);
  const end = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.durationS ?? 0);
  if (source.kind === 'recording') return <Text faint>A recording goes the way it went.</Text>;
  const { fromSi, toSi } = measure(system, 'speed');
  const go = (way: Way): void => {
    const problem = problemOf(steer(way, speedMps, nowS ?? end));
    if (problem) notify(problem);
  };
  return (
    <View style={styles.dial}>
      <View style={styles.ways} role="group" aria-label="From now on the boat does this">
        {WAYS.map((way) => (
          <Button key={way} label={WORDS[way]} onPress={() => go(way)} testID={`way-${way}`} />
        ))}
        {source.steering && source.steering.length > 0 && (
          <Button tone="quiet" label="As at first" onPress={unsteer} testID="unsteer" />
        )}
      </View>
      <Dial
        label="Speed of the boat"
        name="dial-boatSpeed"
        value={Number(fromSi(speedMps).toFixed(1))}
        low={Number(fromSi(SLOWEST_MPS).toFixed(1))}
        high={Number(fromSi(FASTEST_MPS).toFixed(1))}
        step={0.1}
        stride={0.5}
        show={(x) => show('speed', toSi(x), 1)}
        onChange={(x) => setSpeed(toSi(x))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  dial: { gap: 8, paddingHorizontal: 12 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
