import { createElement, type ChangeEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from './Button';
import { Text } from './Text';
import { TOUCH_PX, useTones } from './theme';

interface End {
  label: string;
  value: number;
  /** Name part for tests. */
  name: string;
  onChange: (value: number) => void;
}

interface Props {
  from: End;
  to: End;
  low: number;
  high: number;
  step: number;
  /** The ends stay at least so far apart. */
  apart: number;
  show: (value: number) => string;
}

/** The browser's own sliders, one over the other: only their thumbs take the pointer. */
const STYLE = `
.span-end { position: absolute; inset: 0; width: 100%; height: 100%; margin: 0; background: transparent; pointer-events: none; -webkit-appearance: none; appearance: none; }
.span-end::-webkit-slider-runnable-track { background: transparent; }
.span-end::-webkit-slider-thumb { -webkit-appearance: none; pointer-events: auto; width: 30px; height: 30px; border-radius: 15px; border: 0; background: var(--thumb); cursor: pointer; }
.span-end::-moz-range-track { background: transparent; }
.span-end::-moz-range-thumb { pointer-events: auto; width: 30px; height: 30px; border-radius: 15px; border: 0; background: var(--thumb); cursor: pointer; }
.span-end:focus-visible::-webkit-slider-thumb { outline: 3px solid var(--ring); outline-offset: 2px; }
.span-end:focus-visible::-moz-range-thumb { outline: 3px solid var(--ring); outline-offset: 2px; }`;
const THUMB_PX = 30;

/** A stretch from one value to another on one slider, each end dragged, stepped or turned by keys. */
export function SpanDial({ from, to, low, high, step, apart, show }: Props) {
  const tones = useTones();
  const share = (x: number): number => (Math.min(high, Math.max(low, x)) - low) / (high - low);
  const end = (one: End, least: number, most: number) => {
    const fit = (x: number): number => Math.min(most, Math.max(least, x));
    return {
      slider: createElement('input', {
        key: one.name,
        type: 'range',
        className: 'span-end',
        min: low,
        max: high,
        step,
        value: one.value,
        'aria-label': one.label,
        'aria-valuetext': show(one.value),
        'data-testid': one.name,
        onChange: (event: ChangeEvent<HTMLInputElement>) => one.onChange(fit(Number(event.target.value))),
        style: { '--thumb': tones.buoy, '--ring': tones.ink },
      }),
      steps: (
        <View style={styles.end}>
          <Text faint kind="small">
            {one.label}
          </Text>
          <View style={styles.row}>
            <IconButton
              icon="minus"
              label={`${one.label}: less`}
              onPress={() => one.onChange(fit(one.value - step))}
            />
            <Text kind="figure" testID={`${one.name}-value`}>
              {show(one.value)}
            </Text>
            <IconButton
              icon="plus"
              label={`${one.label}: more`}
              onPress={() => one.onChange(fit(one.value + step))}
            />
          </View>
        </View>
      ),
    };
  };
  const first = end(from, low, high - apart);
  const second = end(to, low + apart, high);
  const [a, b] = [share(from.value), share(to.value)];
  const inset = (x: number) => `calc(${THUMB_PX / 2}px + ${x} * (100% - ${THUMB_PX}px))`;
  return (
    <View style={styles.dial}>
      {createElement('style', null, STYLE)}
      <View style={styles.track}>
        <View style={[styles.line, { backgroundColor: tones.rule }]} />
        {createElement('div', {
          'aria-hidden': true,
          style: {
            position: 'absolute',
            top: TOUCH_PX / 2 - 4,
            height: 8,
            left: inset(a),
            right: inset(1 - b),
            backgroundColor: tones.buoy,
          },
        })}
        {first.slider}
        {second.slider}
      </View>
      <View style={styles.ends}>
        {first.steps}
        {second.steps}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  dial: { width: '100%', gap: 6 },
  track: { height: TOUCH_PX },
  line: { position: 'absolute', left: 8, right: 8, top: TOUCH_PX / 2 - 3, height: 6, borderRadius: 3 },
  ends: { flexDirection: 'row', justifyContent: 'space-between', flexWrap: 'wrap', gap: 8 },
  end: { alignItems: 'center' },
  row: { flexDirection: 'row', alignItems: 'center' },
});
