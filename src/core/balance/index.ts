export * from './types';
export * from './mass-properties';
export * from './hang-centre';
export * from './neutral-torques';
export * from './bar-choice';
export * from './bar-set';
export * from './shot-reactions';
export type { BarPlace, MountedBar, SideStock } from './bar-options';
