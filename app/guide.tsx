import { lazyScreen } from '@/features/shell/lazyScreen';

export default lazyScreen(async () => (await import('@/features/guide/GuideScreen')).GuideScreen);
