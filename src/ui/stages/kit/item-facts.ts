import type { CatalogueItem } from '@/core/kit';
import { write, type ShopUnits } from '@/core/units';
import { kit as w } from '../../words';

/** What is worth knowing of a part at a glance, by its slot. */
export function itemFacts(item: CatalogueItem, shop: ShopUnits): string {
  const mass = write(item.massG, 'mass', { ...shop, mass: 'g' }, { decimals: 0 });
  return [...bySlot(item, shop), ...(item.slot === 'arrows' ? [] : [mass])].join(' · ');
}

function bySlot(item: CatalogueItem, shop: ShopUnits): string[] {
  switch (item.slot) {
    case 'rest':
      return [w.drives[item.attrs.drive], w.mounts[item.attrs.mount]];
    case 'sight': {
      const { pins, slides, thirdAxis, mount, electronics } = item.attrs;
      return [
        w.pins(pins, slides),
        w.axes(thirdAxis),
        w.mounts[mount],
        ...(electronics ? [w.electronics] : []),
      ];
    }
    case 'peep':
      return [`${item.attrs.apertureMm} mm`];
    case 'loop':
      return [write(item.attrs.lengthMm, 'length', shop)];
    case 'arrows': {
      const { count, staticSpineIn, shaftOuterMm, shaftLengthMm } = item.attrs;
      return [
        w.set(count),
        w.spine(staticSpineIn),
        write(item.massG, 'mass', shop),
        write(shaftLengthMm, 'length', shop),
        w.shaft(shaftOuterMm),
      ];
    }
    case 'release':
      return [w.releases[item.attrs.type]];
    case 'quiver':
      return [w.mounts[item.attrs.mount], w.holds(item.attrs.arrows)];
    case 'stabiliser':
      return [write(item.attrs.lengthMm, 'length', shop)];
  }
}
