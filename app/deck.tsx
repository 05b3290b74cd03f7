export { DeckScreen as default } from '@/features/plan/DeckScreen';
