import { useEffect, useRef } from 'react';
import type { View } from 'react-native';

/** What each place is called in the browser's own title. */
const TITLES: Record<string, string> = {
  '/plan': 'Plan',
  '/tune': 'Tune',
  '/read': 'Read',
  '/log': 'Log',
  '/boat': 'Boat',
  '/deck': 'Deck card',
  '/sheet': 'Sheet to print',
  '/eyes': 'Eye check',
  '/day': 'A day',
  '/train': 'Train',
  '/guide': 'Guide',
  '/screen': 'Your screen',
};

/** Names the page after its place and, on each change of place, moves the focus to its beginning. @returns where the focus goes */
export function usePlaceTitle(path: string): React.RefObject<View | null> {
  const main = useRef<View>(null);
  const before = useRef(path);
  useEffect(() => {
    document.title = `${TITLES[path] ?? 'No such page'} – Nimble Echo`;
    if (before.current === path) return;
    before.current = path;
    main.current?.focus();
  }, [path]);
  return main;
}
