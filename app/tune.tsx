export { TuneScreen as default } from '@/features/tune/TuneScreen';
