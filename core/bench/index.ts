export {
  benchPass,
  deepestOf,
  sceneList,
  scenePass,
  sectionsOf,
  soundingRequest,
  type Sounding,
} from './benchPass';
export { faultMiniature, miniature } from './miniature';
export { MOUNT_FAULTS, type MountFault } from './mountFaults';
export {
  BRIEF_WATERS,
  briefPass,
  passKey,
  PassSourceSchema,
  SeedSchema,
  type BriefWater,
  type PassSource,
  type PassSpec,
} from './passSource';
