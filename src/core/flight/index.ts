export * from './air';
export * from './trajectory';
export * from './sight-marks';
export * from './group';
