export * from './types';
export * from './draw-length';
export * from './draw-weight';
export * from './limb-bolts';
export * from './weight-prior';
export * from './bow-cover';
export * from './growth-plan';
