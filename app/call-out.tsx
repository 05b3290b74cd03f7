import { lazyScreen } from '@/features/shell/lazyScreen';

export default lazyScreen(async () => (await import('@/features/deck/CallOutScreen')).CallOutScreen);
