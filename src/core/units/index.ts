export * from './types';
export * from './read';
export * from './write';
export * from './spoken';
export { findUnit, shopUnitFor, siPerUnit } from './unit-table';
export * from './fraction';
export * from './money';
export * from './days';
