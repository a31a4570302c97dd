export * from './types';
export { bestRoute } from './order';
export * from './job-step';
export * from './plan';
export * from './why-visit';
