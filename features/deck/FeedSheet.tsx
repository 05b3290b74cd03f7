import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { FEED_DOUBTS } from '@/core/feed';
import { measure } from '@/core/units';
import { deckStore, feedStore, takeFeed, warnUnder, type FeedSource } from '@/stores';
import { BigButton, NumberField, Sheet, Text } from '@/ui';
import { useUnits } from '../units';
import { DOUBT_WORDS } from '../words/deck';

const SOURCES: readonly [FeedSource, label: string, about: string][] = [
  ['device', 'This device', 'Position and speed from the sensor in it.'],
  ['gateway', 'The boat’s network', 'Through the server, where it was started with the boat’s address.'],
  ['simulated', 'A simulated boat', 'It goes about Vessmere, an invented lake.'],
  ['off', 'Nothing', 'Deck works without: places are then not known.'],
];

/** A doubt is told for so long after it was last heard, s. */
const TOLD_S = 60;

/** Where the boat's data come from, and what of them is doubted. */
export function FeedSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { source, problem, badLines, feed, nowS } = useStore(
    feedStore,
    useShallow(({ source: from, problem: wrong, badLines: bad, feed: heard, nowS: now }) => ({
      source: from,
      problem: wrong,
      badLines: bad,
      feed: heard,
      nowS: now,
    })),
  );
  const shallowM = useStore(deckStore, (s) => s.shallowM);
  const depth = measure(useUnits().system, 'depth');
  const doubts = FEED_DOUBTS.filter((d) => nowS - (feed.doubts[d] ?? -Infinity) < TOLD_S);
  return (
    <Sheet title="Boat data" open={open} onClose={onClose}>
      {SOURCES.map(([value, label, about]) => (
        <BigButton
          key={value}
          label={label}
          spoken={`${label}. ${about}`}
          tone={source === value ? 'chosen' : 'plain'}
          onPress={() => {
            void takeFeed(value);
            if (value !== 'device' && value !== 'gateway') onClose();
          }}
          testID={`feed-${value}`}
        />
      ))}
      <Text>{SOURCES.find(([value]) => value === source)![2]}</Text>
      <NumberField
        label="Warn where it is shallower than"
        value={depth.fromSi(shallowM)}
        unit={depth.unit}
        low={0}
        high={depth.fromSi(100)}
        onChange={(value) => warnUnder(depth.toSi(value))}
        testID="shallow"
      />
      {problem && <Text role="alert">{problem}</Text>}
      {doubts.map((doubt) => (
        <Text key={doubt}>{DOUBT_WORDS[doubt]}</Text>
      ))}
      {badLines > 0 && <Text faint>{badLines} lines could not be read and were left out.</Text>}
    </Sheet>
  );
}
