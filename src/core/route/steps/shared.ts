import { itemOf } from '../../kit';
import type { BuildContext } from '../context';

export const always = () => true;
export const drive = (context: BuildContext) => itemOf(context.kit, 'rest')?.attrs.drive;
export const fixed = (text: string) => () => text;

export const DRAW_SAFELY =
  'Only with a release, an arrow on the string and a safe target in front.';
export const PRESS = 'Press: both limbs seated in their fingers, eyes away from the string line.';
