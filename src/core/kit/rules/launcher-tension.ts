import { cannotTell, doesNotFit, fits, itemOf, type AttrsOf, type KitRule } from '../types';

type LauncherTension = AttrsOf['rest']['tensions'][number];

/** Arrow masses, g, from which the medium and the heavy launcher suit. Shop rule. */
const MEDIUM_FROM_G = 20;
const HEAVY_FROM_G = 28;

/** The launcher that suits an arrow's mass (docs/models.md section 8). */
export const tensionFor = (arrowG: number): LauncherTension =>
  arrowG < MEDIUM_FROM_G ? 'light' : arrowG < HEAVY_FROM_G ? 'medium' : 'heavy';

export const launcherTension: KitRule = {
  id: 'launcher-tension',
  name: 'Launcher suits the arrow’s mass',
  slots: ['rest', 'arrows'],
  hard: false,
  check({ kit }) {
    const [rest, arrows] = [itemOf(kit, 'rest'), itemOf(kit, 'arrows')];
    if (!rest || !arrows) return cannotTell('launcher or arrow mass of an own part');
    const { tensions } = rest.attrs;
    if (tensions.length === 0) return fits;
    const wanted = tensionFor(arrows.massG);
    return tensions.includes(wanted)
      ? fits
      : doesNotFit(
          `an arrow of ${arrows.massG.toFixed(1)} g wants the ${wanted} launcher; it comes with ${tensions.join(', ')}`,
        );
  },
};
