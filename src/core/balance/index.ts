export * from './types';
export * from './mass-properties';
export * from './hang-centre';
export * from './neutral-torques';
export * from './bar-choice';
