import { createElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text, useTones, useWide } from '@/ui';
import { GUIDE } from '../words/guide';

/** How to begin, what each screen is for, how to read confidence, where the data is. */
export function GuideScreen() {
  const tones = useTones();
  const wide = useWide();
  return (
    <ScrollView contentContainerStyle={[styles.page, wide && styles.wide]} testID="guide">
      <Text kind="title">Guide</Text>
      {GUIDE.map(({ title, paragraphs, picture }) => (
        <View key={title} style={styles.part}>
          <Text kind="heading">{title}</Text>
          {paragraphs.map((words) => (
            <Text key={words}>{words}</Text>
          ))}
          {picture &&
            createElement('img', {
              src: `/guide/${picture.name}.png`,
              alt: picture.label,
              loading: 'lazy',
              width: 280,
              height: 606,
              // A bright picture at night is dimmed to the page.
              style: {
                border: `1px solid ${tones.rule}`,
                maxWidth: '100%',
                filter:
                  tones.light === 'day'
                    ? undefined
                    : 'brightness(0.35) sepia(1) saturate(3) hue-rotate(-40deg)',
              },
            })}
        </View>
      ))}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { padding: 16, gap: 22, paddingBottom: 40 },
  wide: { padding: 32, maxWidth: 820, width: '100%', alignSelf: 'center' },
  part: { gap: 10 },
});
