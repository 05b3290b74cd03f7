import { Slot } from 'expo-router';
import { Providers } from '@/features/shell/Providers';
import { Shell } from '@/features/shell/Shell';

export default function Layout() {
  return (
    <Providers>
      <Shell>
        <Slot />
      </Shell>
    </Providers>
  );
}
