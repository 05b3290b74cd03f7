export { BoatScreen as default } from '@/features/boat/BoatScreen';
