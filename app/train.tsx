import { lazyScreen } from '@/features/shell/lazyScreen';

export default lazyScreen(async () => (await import('@/features/train/TrainScreen')).TrainScreen);
