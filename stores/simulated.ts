// One door to all that is made of the invented lake: parts that are loaded late and share it would load it at the start.
export { simulatedBoat } from '@/core/bench/simulatedBoat';
export { demoWeek } from '@/core/logbook/demoWeek';
