import { itemOf, type Kit, type Slot } from '../../kit';
import type { BuildContext } from '../build-context';

export const always = () => true;
export const drive = (context: BuildContext) => itemOf(context.kit, 'rest')?.attrs.drive;
export const fixed = (text: string) => () => text;

export const DRAW_SAFELY =
  'Only with a release, an arrow on the string and a safe target in front.';
export const PRESS = 'Press: both limbs seated in their fingers, eyes away from the string line.';

/** Whether the job has a part in a slot, its own or from the shop. */
export const has = (kit: Kit, slot: Slot) => kit[slot] !== undefined;

/** The four ways to a first centre shot. */
export function centreShotSay({ schools }: BuildContext): string {
  switch (schools.centreShot) {
    case 'figure':
      return 'Move the rest in or out until the middle of the shaft stands at the figure, measured from the riser.';
    case 'thread':
      return 'Stretch a thread over the middles of both limb bolts, past the string. Move the rest until shaft and thread lie over each other; measure from the riser and enter it.';
    case 'secondArrow':
      return 'Lay a second arrow against the flat of the riser. Move the rest until both shafts run side by side, the same distance front and back; measure from the riser and enter it.';
    case 'eye':
      return 'Look from behind with string, grip seam and limb bolts in one line. Move the rest until the point stands in that line too; measure from the riser and enter it.';
  }
}
