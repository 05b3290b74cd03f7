import { memo, useCallback, useMemo } from 'react';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { windowSpan } from '@/core/picture';
import { noteTiming, passStore, viewOf, viewStore } from '@/stores';
import { depthScale, EchoCanvas } from '@/ui';
import { useUnits } from '../units';

const painted = (): void => noteTiming('picture-painted', {});

/** The echo picture of the bench: follows the picture and the window it shows, and no dial that does not move them. */
export const TunePicture = memo(function TunePicture() {
  const { system, band, show } = useUnits();
  const picture = useStore(viewStore, (s) => viewOf(s, 'tune').picture);
  const title = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.title ?? '');
  const shownWindow = useStore(
    passStore,
    useShallow(({ settings: { topM, rangeM, zoom, bedLockM } }) => ({ topM, rangeM, zoom, bedLockM })),
  );
  const palette = useStore(passStore, (s) => s.settings.palette);
  const face = useStore(
    passStore,
    (s) => s.pass.rig.faces.find((f) => f.id === s.settings.faceId)?.label ?? s.settings.faceId,
  );
  const scale = useMemo(
    () =>
      depthScale(
        {
          topM: shownWindow.bedLockM ?? shownWindow.topM,
          spanM: windowSpan(shownWindow),
          overBed: shownWindow.bedLockM !== null,
        },
        system,
      ),
    [shownWindow, system],
  );
  const shown =
    shownWindow.bedLockM === null
      ? band('depth', shownWindow.topM, shownWindow.rangeM, 0)
      : `${show('depth', shownWindow.bedLockM, 0)} over the bed`;
  const depthWords = useCallback((depthM: number) => show('depth', depthM), [show]);
  const onPainted = useCallback(painted, []);
  return (
    <EchoCanvas
      picture={picture}
      palette={palette}
      scale={scale}
      label={`Echo picture, ${face}, ${shown}. ${title}`}
      depthWords={depthWords}
      onPainted={onPainted}
    />
  );
});
