import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { correctionOf, otherwiseSaid, type Correction } from '@/core/logbook';
import type { Finding } from '@/core/reading';
import { correct, takeBack, type PassReading } from '@/stores';
import { Button, Text, useTones } from '@/ui';
import { CorrectSheet } from './CorrectSheet';
import { correctionWords } from '../words/called';
import { FindingRow, type Beside } from './FindingRow';
import { choose, lookAt, readStore } from './readStore';
import type { OtherBeam } from './useTogether';
import type { Truth } from './useTruth';

const GROUPS: readonly [kind: Finding['kind'], title: string][] = [
  ['fish', 'Fish'],
  ['cloud', 'Bait'],
  ['cover', 'On the bed'],
];

/** Rows of a kind that are listed at first, and each time more are asked for. */
const MOST_ROWS = 30;

/** Of most use first: large fish before small, large clouds and cover before small. */
const worthOf = (f: Finding): number =>
  f.kind === 'fish' ? (f.lengthM?.[1] ?? f.overBackgroundDb / 1000) : f.heightM * (f.toPing - f.fromPing);

/** What the other beam says of a finding. */
function besideOf(f: Finding, other: OtherBeam | null): Beside | null {
  const mark = other?.marks?.find((m) => m.id === f.id);
  return mark && other ? { label: other.label, mark } : null;
}

/** What was said of a finding, and what else on another device. */
function saidOf(
  finding: Finding,
  corrections: readonly Correction[],
): { said: Correction | null; otherwise: readonly Correction[] } {
  const said = correctionOf(finding, corrections);
  return { said, otherwise: said ? otherwiseSaid(said, corrections) : [] };
}

interface Props {
  reading: PassReading;
  corrections: readonly Correction[];
  truth: Truth | null;
  other: OtherBeam | null;
}

/** What was found, by kind, of most use first; each with its evidence, and what the user says to it. */
export function FindingList({ reading, corrections, truth, other }: Props) {
  const tones = useTones();
  const chosen = useStore(readStore, (s) => s.chosen);
  const hidden = useStore(readStore, (s) => s.hidden);
  const [most, setMost] = useState(MOST_ROWS);
  const [doubted, setDoubted] = useState<Finding | null>(null);
  const { findings } = reading.reading;
  const { title } = reading.facts;
  const say = (said: Correction): void => {
    setDoubted(null);
    correct(said, title, correctionWords(said));
  };
  return (
    <View>
      {GROUPS.map(([kind, name]) => {
        const mine = findings.filter((f) => f.kind === kind).sort((a, b) => worthOf(b) - worthOf(a));
        if (mine.length === 0 || hidden.includes(kind)) return null;
        return (
          <View key={kind}>
            <View style={[styles.group, { borderTopColor: tones.rule }]}>
              <Text kind="heading">{name}</Text>
              {mine.length > 1 && (
                <Text faint kind="small">
                  {kind === 'fish' && mine[0]!.kind === 'fish' && mine[0]!.lengthM === null
                    ? 'strongest first'
                    : 'largest first'}
                </Text>
              )}
            </View>
            <View role="list" aria-label={`${name} found`}>
              {mine
                .filter((f, k) => k < most || f.id === chosen)
                .map((f) => (
                  <FindingRow
                    key={f.id}
                    finding={f}
                    reading={reading}
                    open={f.id === chosen}
                    {...saidOf(f, corrections)}
                    beside={besideOf(f, other)}
                    truth={truth?.marks.find((m) => m.id === f.id) ?? null}
                    onPress={() => {
                      choose(f.id === chosen ? null : f.id);
                      lookAt(f);
                    }}
                    onSay={say}
                    onTakeBack={(said) => takeBack(said, title)}
                    onCorrect={() => setDoubted(f)}
                  />
                ))}
            </View>
            {mine.length > most && (
              <View style={styles.more}>
                <Button
                  label={`Show more of ${mine.length}`}
                  spoken={`Show more ${name} of ${mine.length}`}
                  onPress={() => setMost(most + MOST_ROWS)}
                />
              </View>
            )}
          </View>
        );
      })}
      {doubted && (
        <CorrectSheet finding={doubted} others={findings} onSay={say} onClose={() => setDoubted(null)} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  more: { padding: 12 },
  group: {
    flexDirection: 'row',
    alignItems: 'baseline',
    gap: 10,
    borderTopWidth: 1,
    paddingHorizontal: 12,
    paddingTop: 12,
    paddingBottom: 4,
  },
});
