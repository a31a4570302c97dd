import type { DrawStops } from './record';

export type ReleaseType = 'thumb' | 'index' | 'backTension';
export type Wall = 'firm' | 'soft';

/** The wall a release asks for, unless the archer says otherwise. Shop rule. */
const WALL_OF_RELEASE: Record<ReleaseType, Wall | null> = {
  thumb: 'firm',
  index: null,
  backTension: 'soft',
};

/** The wall a bow's stops give; null where the stops are not known. */
export const wallOfStops = (stops: DrawStops | null): Wall | null =>
  stops === null ? null : stops === 'cable' ? 'soft' : 'firm';

/** The archer's own word first, else what the release asks for; null for either. */
export const wantedWall = (
  wall: Wall | 'either' | 'unknown',
  release: ReleaseType | 'unknown',
): Wall | null => {
  if (wall === 'firm' || wall === 'soft') return wall;
  return wall === 'either' || release === 'unknown' ? null : WALL_OF_RELEASE[release];
};
