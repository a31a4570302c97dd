import { piece } from '../pieces/piece';
import s from './Work.module.css';

/** What is being worked on, between the bow map and the margin. */
export const Work = piece('main', s.work);
