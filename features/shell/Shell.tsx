import { Link, usePathname } from 'expo-router';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon, IconButton, Text, TOUCH_PX, useLying, useTones, useWide, type IconName } from '@/ui';
import { usePictureInThisLight } from '../usePalette';
import { KeepingBanner } from './KeepingBanner';
import { LiveStrip } from './LiveStrip';
import { Notices } from './Notices';
import { Recovery } from './Recovery';
import { SkipLink } from './SkipLink';
import { UpdateBanner } from './UpdateBanner';
import { useDroppedFile } from './useDroppedFile';
import { usePlaceTitle } from './usePlaceTitle';

// The sheets are loaded when they are first opened.
const MenuSheet = lazy(() => import('./MenuSheet').then((m) => ({ default: m.MenuSheet })));
const KeptSheet = lazy(() => import('./KeptSheet').then((m) => ({ default: m.KeptSheet })));

/** The verbs of a day, in its order. */
const PLACES = [
  { href: '/plan', label: 'Plan', icon: 'notebook-edit-outline' },
  { href: '/tune', label: 'Tune', icon: 'tune-variant' },
  { href: '/read', label: 'Read', icon: 'magnify' },
  { href: '/deck', label: 'Deck', icon: 'anchor' },
  { href: '/log', label: 'Log', icon: 'bookmark-multiple-outline' },
] as const satisfies readonly { href: string; label: string; icon: IconName }[];

/** What is not of a day on the water, in the header. */
const ASIDE = [
  { href: '/train', label: 'Train', icon: 'target' },
  { href: '/boat', label: 'Boat', icon: 'sail-boat' },
] as const satisfies readonly { href: string; label: string; icon: IconName }[];

function Places({ wide }: { wide: boolean }) {
  const tones = useTones();
  const path = usePathname();
  const lying = useLying();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={[
        wide ? styles.rail : styles.tabs,
        { backgroundColor: tones.page, borderColor: tones.rule },
        wide ? { borderRightWidth: 1 } : { borderTopWidth: 1 },
        lying && styles.lowRail,
      ]}
    >
      {PLACES.map(({ href, label, icon }) => {
        const here = path === href;
        const colour = here ? tones.buoy : tones.ink;
        return (
          <Link
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            style={wide ? styles.railLink : styles.tabLink}
          >
            <View
              style={[
                styles.place,
                wide ? styles.railPlace : styles.tabPlace,
                here && { borderColor: tones.buoy },
              ]}
            >
              <Icon name={icon} colour={colour} />
              <Text kind="small" bold={here} style={{ color: colour }}>
                {label}
              </Text>
            </View>
          </Link>
        );
      })}
    </View>
  );
}

/** The frame every screen stands in: header, places (a rail when wide, tabs on a phone), notices. */
export function Shell({ children }: { children: ReactNode }) {
  const tones = useTones();
  const path = usePathname();
  const [menuOpen, setMenuOpen] = useState(false);
  const [keptOpen, setKeptOpen] = useState(false);
  const main = usePlaceTitle(path);
  usePictureInThisLight();
  useDroppedFile(path);
  const wide = useWide();
  return (
    <View style={[styles.app, { backgroundColor: tones.ground }]}>
      <SkipLink />
      <View role="banner" style={[styles.header, { borderBottomColor: tones.rule }]}>
        <Text bold>Nimble Echo</Text>
        <View style={styles.headerActions}>
          {ASIDE.map(({ href, label, icon }) => {
            const here = path === href;
            const colour = here ? tones.buoy : tones.ink;
            return (
              <Link key={href} href={href} aria-label={label} aria-current={here ? 'page' : undefined}>
                <View style={styles.headerLink}>
                  <Icon name={icon} colour={colour} />
                  <Text kind="small" style={{ color: colour }}>
                    {label}
                  </Text>
                </View>
              </Link>
            );
          })}
          <IconButton
            icon="dots-horizontal"
            label="Units, light and help"
            onPress={() => setMenuOpen(true)}
          />
        </View>
      </View>
      <View style={[styles.middle, { flexDirection: wide ? 'row' : 'column' }]}>
        {wide && <Places wide />}
        <View role="main" id="main" ref={main} tabIndex={-1} style={styles.main}>
          <LiveStrip />
          <UpdateBanner />
          <KeepingBanner />
          <Recovery of={path}>{children}</Recovery>
        </View>
        {!wide && <Places wide={false} />}
      </View>
      <Notices />
      <Suspense fallback={null}>
        {menuOpen && (
          <MenuSheet
            open
            onClose={() => setMenuOpen(false)}
            onKept={() => {
              setMenuOpen(false);
              setKeptOpen(true);
            }}
          />
        )}
        {keptOpen && <KeptSheet open onClose={() => setKeptOpen(false)} />}
      </Suspense>
    </View>
  );
}

const styles = StyleSheet.create({
  app: { flex: 1, minHeight: '100%' },
  header: {
    height: TOUCH_PX + 4,
    paddingLeft: 16,
    paddingRight: 4,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    borderBottomWidth: 1,
  },
  headerActions: { flexDirection: 'row', alignItems: 'center' },
  headerLink: {
    minHeight: TOUCH_PX,
    minWidth: TOUCH_PX,
    paddingHorizontal: 10,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
  },
  middle: { flex: 1, minHeight: 0 },
  main: { flex: 1, minHeight: 0 },
  rail: { width: 92, paddingTop: 12, gap: 6 },
  lowRail: { paddingTop: 4, gap: 0 },
  tabs: { flexDirection: 'row', justifyContent: 'space-around' },
  railLink: { width: '100%' },
  tabLink: { flexGrow: 1 },
  place: {
    minHeight: 60,
    minWidth: 64,
    width: '100%',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    borderColor: 'transparent',
  },
  railPlace: { borderLeftWidth: 4 },
  tabPlace: { borderTopWidth: 3 },
});
