/** What draws pictures and judges them: work for a worker, kept apart from what the interface needs to begin. */
export { averagePings, dropLonePings, filteredLevels, pingFilters } from './pingFilters';
export { autoGain } from './autoGain';
export { unitBed } from './unitBed';
export { drawPicture, newDesk } from './draw';
export { keepColumns } from './keepColumns';
export { outlineMarks } from './outlineMarks';
export { findFaults } from './judge/faults';
export { labTable, see, sightScore } from './judge/eye';
export { EYE_CHECK_CELLS, eyeCheckPicture, eyeCheckResult, eyeCheckTrials } from './judge/eyeCheck';
export {
  bedColours,
  bedSteps,
  deepestShown,
  historyS,
  markCells,
  metresPerPixel,
  saturatedShare,
  secondsPerColumn,
  shareBelowBed,
  speckleShare,
  targetMargin,
} from './judge/meters';
