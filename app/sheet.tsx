export { SheetScreen as default } from '@/features/plan/SheetScreen';
