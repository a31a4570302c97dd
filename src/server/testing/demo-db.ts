import { seedDemo } from '../../../demo/seed';
import { copies } from './new-db';

/** The demo shop with its people and jobs; the clock is the true one afterwards. */
export const demoDb = copies(seedDemo);
