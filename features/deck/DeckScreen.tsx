import { useEffect, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { dayNow, dayStore, feedStore, keepTrack } from '@/stores';
import { BigButton, Sheet, Text, useLying, useTones, useWide } from '@/ui';
import { CoachLine } from './CoachLine';
import { DayPart } from './DayPart';
import { DeckMap } from './DeckMap';
import { DECK_PARTS, deckView, type DeckPart } from './deckView';
import { FeedSheet } from './FeedSheet';
import { FindMark } from './FindMark';
import { LureCard } from './LureCard';
import { MarkSheet } from './MarkSheet';
import { SetupNow } from './SetupNow';
import { SpotClock } from './SpotClock';
import { useBoatNow } from './useBoatNow';
import { useWakeLock } from './useWakeLock';

const PART_WORDS: Record<DeckPart, string> = {
  now: 'Now',
  find: 'Find',
  spot: 'Spot',
  map: 'Map',
  day: 'Day',
};

/** On the water, one hand: the setup in use, the way back, the spot's clock, the chart, and one big button to mark. */
export function DeckScreen() {
  const tones = useTones();
  const wide = useWide();
  const lying = useLying();
  const boat = useBoatNow();
  const awake = useWakeLock();
  const day = useStore(dayStore, dayNow);
  const { part, waiting } = useStore(
    deckView,
    useShallow((s) => ({ part: s.part, waiting: s.waiting })),
  );
  const [feedOpen, setFeedOpen] = useState(false);
  const [markedS, setMarkedS] = useState<number | null>(null);
  const problem = useStore(feedStore, (s) => s.problem);
  const [tick, setTick] = useState(() => Date.now() / 1000);
  useEffect(() => keepTrack(), []);
  useEffect(() => {
    // The spot's clock runs without a feed too.
    const id = setInterval(() => setTick(Date.now() / 1000), 1000);
    return () => clearInterval(id);
  }, []);
  const mark = (): void => {
    if (boat.fix) setMarkedS(boat.nowS);
    else setFeedOpen(true);
  };
  const shown = {
    now: <SetupNow />,
    find: <FindMark boat={boat} day={day} />,
    spot: (
      <>
        <SpotClock nowS={tick} day={day} />
        <LureCard boat={boat} day={day} />
      </>
    ),
    map: <DeckMap boat={boat} day={day} />,
    day: <DayPart day={day} />,
  };
  const foot = (
    <View style={lying ? [styles.parts, styles.beside] : [styles.foot, { borderTopColor: tones.rule }]}>
      <View style={styles.data}>
        <BigButton
          label={boat.source === 'off' ? 'Boat data' : 'Data'}
          spoken="Where the boat’s data come from"
          onPress={() => setFeedOpen(true)}
          testID="open-feed"
        />
      </View>
      <View style={styles.mark}>
        <BigButton
          tone="main"
          icon="map-marker-plus-outline"
          label="Mark"
          spoken="Mark what you saw"
          onPress={mark}
          testID="mark"
        />
      </View>
    </View>
  );
  return (
    <View style={styles.deck}>
      <Text kind="title" style={styles.hidden}>
        Deck
      </Text>
      {/* On its side a phone has no height for a foot of its own. */}
      <View style={styles.parts}>
        <View style={[styles.parts, styles.part]} role="group" aria-label="Parts of Deck">
          {DECK_PARTS.map((value) => (
            <View key={value} style={styles.part}>
              <BigButton
                label={PART_WORDS[value]}
                tone={part === value ? 'chosen' : 'plain'}
                onPress={() => deckView.setState({ part: value })}
                testID={`deck-${value}`}
              />
            </View>
          ))}
        </View>
        {lying && foot}
      </View>
      <CoachLine day={day} />
      {problem && (
        <Text role="alert" style={styles.words}>
          {problem}
        </Text>
      )}
      {wide && part !== 'map' ? (
        <View style={styles.two}>
          <ScrollView style={styles.body}>{shown[part]}</ScrollView>
          <ScrollView style={[styles.body, styles.aside, { borderLeftColor: tones.rule }]}>
            {shown.map}
          </ScrollView>
        </View>
      ) : (
        <ScrollView style={styles.body} contentContainerStyle={styles.grow}>
          {shown[part]}
        </ScrollView>
      )}
      {!lying && foot}
      {!awake && (
        <Text faint kind="small">
          Your browser may turn the screen off.
        </Text>
      )}
      <FeedSheet open={feedOpen} onClose={() => setFeedOpen(false)} />
      <MarkSheet openedS={markedS} onClose={() => setMarkedS(null)} />
      <Sheet
        title="You are under way"
        open={waiting !== null}
        onClose={() => deckView.setState({ waiting: null })}
      >
        <Text style={styles.words}>The person steering does not tune. Is someone else steering?</Text>
        <BigButton
          tone="main"
          label="Someone else steers"
          onPress={() => {
            deckView.setState({ steered: true, waiting: null });
            waiting?.();
          }}
          testID="steered"
        />
        <BigButton label="I steer" onPress={() => deckView.setState({ waiting: null })} />
      </Sheet>
    </View>
  );
}

const styles = StyleSheet.create({
  deck: { flex: 1, minHeight: 0, paddingHorizontal: 12, paddingTop: 6, gap: 6 },
  // The parts fill the screen; a screen reader still wants its heading.
  hidden: { position: 'absolute', width: 1, height: 1, overflow: 'hidden' },
  parts: { flexDirection: 'row', gap: 6 },
  part: { flex: 1 },
  beside: { flexBasis: 290 },
  body: { flex: 1, minHeight: 0 },
  grow: { flexGrow: 1 },
  two: { flex: 1, minHeight: 0, flexDirection: 'row', gap: 16 },
  aside: { borderLeftWidth: 1, paddingLeft: 16 },
  foot: { flexDirection: 'row', gap: 10, paddingVertical: 8, borderTopWidth: 1 },
  data: { flexBasis: 120 },
  mark: { flex: 1 },
  words: { fontSize: 20, lineHeight: 27 },
});
