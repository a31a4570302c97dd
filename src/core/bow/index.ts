export * from './types';
export * from './draw-force';
export * from './launch-speed';
export * from './record';
export * from './outline';
export * from './sensitivity';
