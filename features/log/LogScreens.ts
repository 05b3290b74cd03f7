export { DayScreen } from './DayScreen';
export { LogScreen } from './LogScreen';
