export { createJob } from './create-job';
export { enter, madeBy, openJob } from './enter';
export { runCommand, wasSaved } from './run';
