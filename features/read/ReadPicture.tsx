import { useCallback, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Correction } from '@/core/logbook';
import type { PaletteName, Picture } from '@/core/picture';
import type { PassReading } from '@/stores';
import { depthScale, EchoCanvas, PictureTouch, useTones } from '@/ui';
import { useUnits } from '../units';
import { BED_STRIP_PX, BedStrip } from './BedStrip';
import { findingNear, scaledTo } from './markOutline';
import { PassOverlay } from './PassOverlay';
import { PointedCross } from './PointedCross';
import { placeOn, shiftTo, windowOn } from './passWindow';
import { addAt, choose, closer, layRuler, lookAt, pointOn, readStore, type PassPlace } from './readStore';
import type { Truth } from './useTruth';

/** A thumb finds a mark within this, px. */
const REACH_PX = 28;

interface Props {
  picture: Picture | null;
  palette: PaletteName;
  reading: PassReading | null;
  corrections: readonly Correction[];
  truth: Truth | null;
  durationS: number | null;
}

/** The pass with what was read of it drawn thinly over it, and the bed's strip at its foot. */
export function ReadPicture({ picture, palette, reading, corrections, truth, durationS }: Props) {
  const tones = useTones();
  const { system, show } = useUnits();
  // What is pointed at moves with every touch, and nothing here moves with it.
  const { chosen, hidden, tool, ruler, closeUp } = useStore(
    readStore,
    useShallow(({ chosen, hidden, tool, ruler, closeUp }) => ({
      chosen,
      hidden,
      tool,
      ruler,
      closeUp,
    })),
  );
  const shown = useMemo(() => picture && windowOn(picture), [picture]);
  // Until the part that is wanted is drawn, what is there moves to where it belongs.
  const shift = shown && closeUp ? shiftTo(shown, closeUp, durationS) : 0;
  const scale = useMemo(
    () =>
      shown ? depthScale({ topM: shown.topM, spanM: shown.footM - shown.topM, overBed: false }, system) : [],
    [shown, system],
  );
  const dragFrom = useRef<PassPlace | null>(null);
  const depthWords = useCallback((depthM: number) => show('depth', depthM), [show]);
  const findings = reading?.reading.findings ?? [];

  const onTap = (at: { x: number; y: number }, size: { width: number; height: number }): void => {
    if (!shown) return;
    const place = placeOn(shown, at);
    if (tool === 'ruler') return layRuler(place);
    if (tool === 'add') return addAt(place);
    if (!reading) return;
    const near = findingNear(
      findings.filter((f) => !hidden.includes(f.kind)),
      { x: at.x * size.width, y: at.y * size.height },
      reading.timeS,
      reading.reading.bed.rangeM,
      scaledTo(shown, size),
      REACH_PX,
    );
    choose(near?.id ?? null);
  };
  const onDrag = (share: number, begun: boolean, shareDown: number): void => {
    if (!shown || !closeUp) return;
    if (begun) dragFrom.current = { timeS: closeUp.timeS, rangeM: closeUp.rangeM };
    const from = dragFrom.current;
    if (!from) return;
    lookAt({
      timeS: Math.max(0, from.timeS - share * (shown.toS - shown.fromS)),
      rangeM: Math.max(0, from.rangeM - shareDown * (shown.footM - shown.topM)),
    });
  };
  const does = { point: 'chooses the mark there', ruler: 'lays an end of the ruler', add: 'adds a mark' }[
    tool
  ];
  return (
    <EchoCanvas
      picture={picture}
      palette={palette}
      scale={scale}
      shift={shift}
      depthWords={depthWords}
      label={`The pass with the bed line and ${findings.length} numbered marks; the list tells them.`}
      {...(reading && shown
        ? {
            foot: {
              heightPx: BED_STRIP_PX,
              draw: (width: number) => <BedStrip reading={reading} shown={shown} width={width} />,
            },
          }
        : {})}
      overlay={(size) =>
        shown && (
          <>
            {reading && (
              <View style={[StyleSheet.absoluteFill, { transform: [{ translateX: shift * size.width }] }]}>
                <PassOverlay
                  size={size}
                  reading={reading}
                  shown={shown}
                  ink={tones.buoy}
                  halo={tones.ground}
                  chosen={chosen}
                  hidden={hidden}
                  corrections={corrections}
                  ruler={ruler}
                  truth={truth}
                />
              </View>
            )}
            <PointedCross shown={shown} size={size} />
            <PictureTouch
              label={`The pass. Arrow keys point at a place, Enter ${does}, plus and minus look closer.`}
              testID="read-touch"
              onPoint={(at) => pointOn(at && placeOn(shown, at))}
              onTap={(at) => onTap(at, size)}
              onDrag={onDrag}
              onZoom={(way, at) => closer(way, placeOn(shown, at))}
            />
          </>
        )
      }
    />
  );
}
