import { lazyScreen } from '@/features/shell/lazyScreen';

export default lazyScreen(
  async () => (await import('@/features/screenPicture/ScreenPictureScreen')).ScreenPictureScreen,
);
