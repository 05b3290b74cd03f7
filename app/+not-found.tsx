import { useRouter } from 'expo-router';
import { EmptyState } from '@/ui';

export default function NotFound() {
  const router = useRouter();
  return (
    <EmptyState
      title="There is no such page"
      hint="The address may be mistyped. Your plan, bench and log are where you left them."
      action={{ label: 'Go to Plan', onPress: () => router.replace('/plan') }}
    />
  );
}
