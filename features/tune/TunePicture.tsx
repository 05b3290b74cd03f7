import { memo, useCallback, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { CONTROLS, windowSpan, type PaletteName, type Picture } from '@/core/picture';
import {
  changeSettings,
  noteTiming,
  passStore,
  setNow,
  setPlaying,
  showBank,
  showFace,
  tuningStore,
  viewOf,
  viewStore,
} from '@/stores';
import { depthScale, EchoCanvas, PictureTouch, Text, useTones, type PicturePoint } from '@/ui';
import { useUnits } from '../units';
import { AutomaticMarks } from './AutomaticMarks';
import { Cursor } from './Cursor';
import { LevelLine } from './LevelLine';
import { pointAt } from './cursorStore';
import { cursorAt } from './pictureCells';
import { Wipe } from './Wipe';

const painted = ({ nowS }: Picture): void => noteTiming('picture-painted', { nowS });

/** Zooms a step about a place of the picture; out of all zoom the window is whole again. */
function zoomAbout(picture: Picture, way: 1 | -1, at: PicturePoint): void {
  const { zoom, bedLockM } = passStore.getState().settings;
  const next = Math.min(CONTROLS.zoom.highest, Math.max(CONTROLS.zoom.lowest, zoom * (way > 0 ? 2 : 0.5)));
  if (next === zoom) return;
  const { depthM } = cursorAt(picture, at);
  changeSettings({ zoom: next, ...(bedLockM === null ? { zoomAtM: next === 1 ? null : depthM } : {}) });
}

interface Props {
  view: 'tune' | 'tune-second';
  faceId: string;
  palette: PaletteName;
  /** Whether the dials turn this picture; null where there is no other. */
  chosen: boolean | null;
  /** Which of two ways to set it this is, while two are held against each other. */
  way: string | null;
  /** Whether the other way's picture lies over this one up to a divider. */
  wiped: boolean;
}

/** An echo picture of the bench: follows the picture and the window it shows, and no dial that does not move them. */
export const TunePicture = memo(function TunePicture({ view, faceId, palette, chosen, way, wiped }: Props) {
  const { system, band, show } = useUnits();
  const tones = useTones();
  const picture = useStore(viewStore, (s) => viewOf(s, view).picture);
  const title = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.title ?? '');
  const shownWindow = useStore(
    passStore,
    useShallow(({ settings: { topM, rangeM, zoom, zoomAtM, bedLockM } }) => ({
      topM,
      rangeM,
      zoom,
      zoomAtM,
      bedLockM,
    })),
  );
  const face = useStore(passStore, (s) => s.pass.rig.faces.find((f) => f.id === faceId)?.label ?? faceId);
  const scale = useMemo(() => {
    const { bedLockM, topM, rangeM, zoom, zoomAtM } = shownWindow;
    const spanM = windowSpan(shownWindow);
    const middle = zoomAtM ?? rangeM - spanM / 2;
    const top = zoom === 1 ? topM : Math.min(Math.max(middle - spanM / 2, topM), rangeM - spanM);
    return depthScale(
      { topM: bedLockM === null ? top : bedLockM / zoom, spanM, overBed: bedLockM !== null },
      system,
    );
  }, [shownWindow, system]);
  const shown =
    shownWindow.bedLockM === null
      ? band('depth', shownWindow.topM, shownWindow.rangeM, 0)
      : `${show('depth', shownWindow.bedLockM, 0)} over the bed`;
  const depthWords = useCallback((depthM: number) => show('depth', depthM), [show]);
  const onPainted = useCallback(painted, []);
  const dragFrom = useRef(0);
  const ringed = useStore(passStore, (s) => s.trap === 'automatic-marks') && view === 'tune' && !wiped;
  const name = `${face}, ${shown}`;
  const fish = useStore(tuningStore, (s) => (view === 'tune' ? (s.next?.now.fish ?? null) : null));
  const bedM = picture?.bedM.at(-1) ?? NaN;
  // What is in it, for who cannot see it.
  const inIt = [
    title,
    bedM > 0 ? `Bed at ${show('depth', bedM)} at the right edge` : 'No bed at the right edge',
    fish === null ? '' : fish === 0 ? 'The reader finds no fish' : `The reader finds ${fish} fish`,
  ].filter((words) => words !== '');
  return (
    <EchoCanvas
      picture={picture}
      palette={palette}
      scale={scale}
      label={`Echo picture, ${name}. ${inIt.join('. ')}`}
      depthWords={depthWords}
      onPainted={onPainted}
      {...(view === 'tune' ? {} : { testID: 'echo-picture-second', magnifier: false })}
      overlay={(size) =>
        picture && (
          <>
            {ringed && <AutomaticMarks size={size} />}
            {wiped && <Wipe size={size} />}
            <LevelLine picture={picture} size={size} />
            <Cursor picture={picture} size={size} />
            {chosen !== null && (
              <View style={[styles.name, { backgroundColor: tones.page, pointerEvents: 'none' }]}>
                <View style={chosen ? { borderBottomWidth: 3, borderBottomColor: tones.buoy } : undefined}>
                  <Text kind="small" bold={chosen}>
                    {way ?? face}
                  </Text>
                </View>
              </View>
            )}
            <PictureTouch
              label={`${name}. Arrow keys point at a place, plus and minus zoom${chosen === false ? ', Enter brings it under the dials' : ''}.`}
              testID={view === 'tune' ? 'picture-touch' : 'picture-touch-second'}
              onPoint={(at) => pointAt(at && cursorAt(picture, at))}
              onTap={() => {
                if (chosen !== false) return;
                if (way === 'A' || way === 'B') showBank(way === 'A' ? 'a' : 'b');
                else showFace(faceId);
              }}
              onDrag={(share, begun) => {
                if (begun) {
                  setPlaying(false);
                  dragFrom.current = picture.nowS;
                  pointAt(null);
                }
                const held = (picture.columns / passStore.getState().settings.chartSpeed) * share;
                const end = viewOf(viewStore.getState(), 'tune').facts?.durationS ?? 0;
                const now = Math.min(end, Math.max(1, dragFrom.current - held));
                setNow(now >= end ? null : now);
              }}
              onZoom={(way, at) => zoomAbout(picture, way, at)}
            />
          </>
        )
      }
    />
  );
});

const styles = StyleSheet.create({
  name: { position: 'absolute', right: 4, top: 4, paddingHorizontal: 6, opacity: 0.92 },
});
