export * from './types';
export * from './spectrum';
export * from './hold-trace';
export * from './hold-compare';
export * from './simulated-hold';
export * from './aim-shots';
