import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { callOut, callOutStore, openCallOutLine } from '@/stores/callOut';
import { BigButton, Text } from '@/ui';

/** The line stays open from the first time it is asked for. */
let opened = false;

/** Calls out to a guest's phone: what to do, and a countdown for the sinking lure. */
export function CallOutPart({ words, sinkS }: { words: string; sinkS: number }) {
  const { on, heardBy } = useStore(callOutStore);
  const [wanted, setWanted] = useState(opened);
  const open = (): void => {
    if (!opened) openCallOutLine();
    opened = true;
    setWanted(true);
  };
  if (!wanted) return <BigButton label="Call out to a second phone" onPress={open} testID="open-call-out" />;
  return (
    <View style={styles.part}>
      {on && (
        <BigButton
          label="Call it out"
          spoken={`Call out to the other phones: ${words}`}
          onPress={() => callOut({ words, sinkS })}
          testID="call-out"
        />
      )}
      <Text style={styles.words} role="status" testID="call-out-heard">
        {!on
          ? 'The server this page came from must be started with --call-out. Trying again.'
          : heardBy === null
            ? `On the other phone open ${window.location.host}/call-out.`
            : heardBy === 0
              ? `No other phone listens. On it open ${window.location.host}/call-out.`
              : heardBy === 1
                ? 'One phone shows it.'
                : `${heardBy} phones show it.`}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: 8 }, words: { fontSize: 20, lineHeight: 27 } });
