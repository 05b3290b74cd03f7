export { ReadScreen as default } from '@/features/read/ReadScreen';
