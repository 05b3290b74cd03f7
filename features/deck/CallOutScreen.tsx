import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { callOutStore, openCallOutLine } from '@/stores/callOut';
import { Text } from '@/ui';
import { beep } from '@/ui/beep';
import { useWakeLock } from './useWakeLock';

/** What was called stands so long, s. */
const STANDS_S = 120;
const TICK_MS = 200;

/** A guest's phone: one huge line, and the seconds until the lure is there. */
export function CallOutScreen() {
  const { on, heard } = useStore(callOutStore);
  const [nowS, setNow] = useState(() => Date.now() / 1000);
  useWakeLock();
  useEffect(() => openCallOutLine(), []);
  useEffect(() => {
    const id = setInterval(() => setNow(Date.now() / 1000), TICK_MS);
    return () => clearInterval(id);
  }, []);
  const ageS = heard ? Math.max(0, nowS - heard.atS) : Infinity;
  const call = heard && ageS < STANDS_S ? heard.call : null;
  const leftS = call?.sinkS == null ? null : call.sinkS - ageS;
  const there = leftS !== null && leftS <= 0;
  useEffect(() => {
    if (!there) return;
    beep();
    navigator.vibrate?.([300, 100, 300]);
  }, [there, heard]);
  return (
    <View style={styles.page}>
      <Text kind="title">Call-out</Text>
      {call ? (
        <>
          <Text bold style={styles.huge} role="status" testID="called-out">
            {call.words}
          </Text>
          {leftS !== null && (
            <Text bold style={styles.count} role="timer" testID="sink-count">
              {there ? 'There. Stop.' : `${Math.ceil(leftS)}\u00a0s`}
            </Text>
          )}
        </>
      ) : (
        <Text style={styles.words} testID="call-out-waits">
          {on
            ? 'Keep this open. What the one at the screen calls out stands here, big.'
            : 'Nobody calls out yet. The server must be started with --call-out.'}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, padding: 20, gap: 24 },
  huge: { fontSize: 64, lineHeight: 72 },
  count: { fontSize: 110, lineHeight: 120 },
  words: { fontSize: 24, lineHeight: 32 },
});
