export { createJob } from './create-job';
export { runCommand } from './run';
