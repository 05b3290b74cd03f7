import { createElement, useEffect, useRef, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, saveUrl, Text, TONES, TonesContext, useTones } from '@/ui';

/** On paper there is only the page: nothing of the app around it, and nothing that scrolls. */
const PRINT = `
@page { size: A4 portrait; margin: 12mm; }
@media print {
  [role="banner"], [role="navigation"], .screen-only { display: none !important; }
  html, body, #root, #root * { overflow: visible !important; }
  #root, #root div:not(.paper *) { height: auto !important; min-height: 0 !important; flex: none !important; position: static !important; transform: none !important; }
  .paper { width: 100% !important; padding: 0 !important; zoom: 0.72; }
  .paper * { color: #000 !important; }
}`;

interface Props {
  /** Name of the picture's file: `setup.png`. */
  pictureName: string;
  /** Further things to do with it, after print and picture. */
  actions: ReactNode;
  children: ReactNode;
}

/** One page for the screen, in its own light; for paper or a picture, in the colours of day. */
export function Paper({ pictureName, actions, children }: Props) {
  const paper = useRef<HTMLDivElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const light = useTones();
  const [onPaper, setOnPaper] = useState(false);
  const tones = onPaper ? TONES.day : light;
  useEffect(() => {
    const before = (): void => flushSync(() => setOnPaper(true));
    const after = (): void => setOnPaper(false);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  const savePng = async (): Promise<void> => {
    if (!paper.current) return;
    flushSync(() => setOnPaper(true));
    try {
      const { toPng } = await import('html-to-image');
      saveUrl(pictureName, await toPng(paper.current, { pixelRatio: 2, backgroundColor: TONES.day.page }));
      setProblem(null);
    } catch {
      setProblem('The picture could not be made here. Print it instead.');
    } finally {
      setOnPaper(false);
    }
  };
  return (
    <ScrollView contentContainerStyle={styles.scroll}>
      {createElement('style', null, PRINT)}
      {createElement(
        'div',
        { className: 'screen-only' },
        <View style={styles.actions}>
          <Button
            tone="main"
            icon="printer-outline"
            label="Print, or save as PDF"
            onPress={() => window.print()}
          />
          <Button label="Save as a picture" onPress={() => void savePng()} testID="save-png" />
        </View>,
      )}
      {problem && <Text role="alert">{problem}</Text>}
      {createElement(
        'div',
        {
          ref: paper,
          className: 'paper',
          'data-testid': 'paper',
          style: { backgroundColor: tones.page, maxWidth: 760, width: '100%', alignSelf: 'center' },
        },
        <TonesContext.Provider value={tones}>
          <View style={styles.page}>{children}</View>
        </TonesContext.Provider>,
      )}
      {createElement('div', { className: 'screen-only' }, <View style={styles.actions}>{actions}</View>)}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  scroll: { padding: 16, gap: 16 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  page: { padding: 20, gap: 5 },
});
