export { createJob } from './create-job';
export { runCommand, wasSaved } from './run';
