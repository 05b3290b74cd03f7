import { StyleSheet, View } from 'react-native';
import { useStore } from 'zustand';
import { viewOf, viewStore } from '@/stores';
import { PixelPicture, useTones } from '@/ui';
import { cursorStore } from './cursorStore';

/** The other way's picture over this one, right of the divider. */
export function Wipe({ size }: { size: { width: number; height: number } }) {
  const tones = useTones();
  const picture = useStore(viewStore, (s) => viewOf(s, 'tune-second').picture);
  const share = useStore(cursorStore, (s) => s.wipe);
  if (!picture) return null;
  const left = share * size.width;
  return (
    <View style={[StyleSheet.absoluteFill, { pointerEvents: 'none' }]} testID="wipe">
      <View
        style={{
          position: 'absolute',
          left,
          top: 0,
          width: size.width - left,
          height: size.height,
          overflow: 'hidden',
        }}
      >
        <View style={{ position: 'absolute', left: -left, top: 0 }}>
          <PixelPicture
            width={picture.columns}
            height={picture.rows}
            pixels={picture.pixels}
            label="The other way to set it"
            shownWidth={size.width}
            shownHeight={size.height}
          />
        </View>
      </View>
      <View
        style={{
          position: 'absolute',
          left,
          top: 0,
          width: 2,
          height: size.height,
          backgroundColor: tones.buoy,
        }}
      />
    </View>
  );
}
