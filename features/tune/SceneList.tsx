import { useEffect, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import type { Picture } from '@/core/picture';
import { TOPICS, type Topic } from '@/core/scene/library/topics';
import { passStore } from '@/stores';
import { Chips, PixelPicture, Text, TOUCH_PX, useTones } from '@/ui';
import { usePalette } from '../usePalette';
import { sceneMiniature, sceneNames, type SceneName } from './sceneNames';

const WORDS: Record<Topic | 'all', string> = {
  all: 'All',
  fish: 'Fish',
  cover: 'Cover',
  bait: 'Bait',
  bed: 'Bed',
  layers: 'Layers',
  lure: 'Lure',
  noise: 'Noise',
  boat: 'Boat’s way',
  deep: 'Deep water',
};

const SHOWN = { width: 132, height: 64 };

/** A scene at a glance, drawn when its turn comes. */
function Glance({ sceneId, title }: { sceneId: string; title: string }) {
  const tones = useTones();
  const palette = usePalette('cone');
  const rig = useStore(passStore, (s) => s.pass.rig);
  const [picture, setPicture] = useState<Picture | null>(null);
  useEffect(() => {
    let gone = false;
    // Without its picture the scene can still be chosen by its words.
    sceneMiniature(sceneId, rig, palette).then(
      (made) => !gone && setPicture(made),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [sceneId, rig, palette]);
  return (
    <View style={[SHOWN, { backgroundColor: tones.ground }]}>
      {picture && (
        <PixelPicture
          width={picture.columns}
          height={picture.rows}
          pixels={picture.pixels}
          label={`What ${title} looks like`}
          shownWidth={SHOWN.width}
          shownHeight={SHOWN.height}
          testID={`glance-${sceneId}`}
        />
      )}
    </View>
  );
}

/** The named waters, by what they teach. */
export function SceneList({ onTake }: { onTake: (sceneId: string) => void }) {
  const tones = useTones();
  const [scenes, setScenes] = useState<readonly SceneName[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [topic, setTopic] = useState<Topic | 'all'>('all');
  const source = useStore(passStore, (s) => s.pass.source);
  useEffect(() => {
    sceneNames().then(setScenes, (error: unknown) =>
      setProblem(error instanceof Error ? error.message : String(error)),
    );
  }, []);
  return (
    <>
      <Chips
        label="What it teaches"
        value={topic}
        options={(['all', ...TOPICS] as const).map((value) => ({ value, label: WORDS[value] }))}
        onChange={setTopic}
        compact
      />
      {problem && <Text role="alert">{problem}</Text>}
      {!scenes && !problem && <Text faint>Reading the list…</Text>}
      <View role="list" aria-label="Named water">
        {scenes
          ?.filter(({ topics }) => topic === 'all' || topics.includes(topic))
          .map(({ id, title, teaches }) => (
            <View key={id} role="listitem">
              <Pressable
                role="button"
                aria-current={source.kind === 'scene' && source.sceneId === id ? 'true' : undefined}
                onPress={() => onTake(id)}
                style={[styles.scene, { borderTopColor: tones.rule }]}
                testID={`scene-${id}`}
              >
                <Glance sceneId={id} title={title} />
                <View style={styles.words}>
                  <Text bold>{title}</Text>
                  <Text faint kind="small">
                    {teaches}
                  </Text>
                </View>
              </Pressable>
            </View>
          ))}
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  scene: {
    borderTopWidth: 1,
    minHeight: TOUCH_PX,
    paddingVertical: 8,
    gap: 12,
    flexDirection: 'row',
    alignItems: 'center',
  },
  words: { flex: 1, minWidth: 0 },
});
