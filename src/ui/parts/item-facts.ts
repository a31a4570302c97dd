import type { AnyPart } from '@/core/kit';
import { write, type ShopUnits } from '@/core/units';
import { kit as w } from '../words';

/** A number and its unit stay in one line. */
const together = (fact: string) => fact.replace(/(\d) (?=(?:g|gr|mm|in)\b)/g, '$1\u00a0');

/** What is worth knowing of a part at a glance, by its slot. */
export function itemFacts(item: AnyPart, shop: ShopUnits): string {
  const mass = write(item.massG, 'mass', { ...shop, mass: 'g' }, { decimals: 0 });
  const facts = [...bySlot(item, shop), ...(SAYS_MASS.includes(item.slot) ? [] : [mass])];
  return facts.map(together).join(' · ');
}

/** Kinds whose mass is said in grains, or of no use. */
const SAYS_MASS: readonly AnyPart['slot'][] = [
  'arrows',
  'shaft',
  'nock',
  'vane',
  'insert',
  'point',
];

function bySlot(item: AnyPart, shop: ShopUnits): string[] {
  const length = (mm: number) => write(mm, 'length', shop);
  const grains = () => write(item.massG, 'mass', shop);
  switch (item.slot) {
    case 'rest':
      return [
        w.drives[item.attrs.drive],
        w.mounts[item.attrs.mount],
        ...(item.attrs.spacer ? [w.spacer] : []),
      ];
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
      return [length(item.attrs.lengthMm), w.materials[item.attrs.material]];
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
    case 'rearBar':
      return [length(item.attrs.lengthMm), w.weightsOf(item.attrs.weightThread)];
    case 'barMount':
      return [w.barMounts[item.attrs.kind], w.thread(item.attrs.thread)];
    case 'weights':
      return [w.pieces(item.attrs.count), w.thread(item.attrs.thread)];
    case 'nockingPoint':
      return [w.nockingPoints[item.attrs.kind]];
    case 'sling':
      return [w.slings[item.attrs.mount]];
    case 'dampeners':
      return [w.pieces(item.attrs.count), w.dampeners[item.attrs.place]];
    case 'stringStop':
      return [w.rod(length(item.attrs.rodMm))];
    case 'light':
      return [w.lights[item.attrs.mount]];
    case 'case':
      return [w.inside(length(item.attrs.insideMm)), item.attrs.hard ? w.hard : w.soft];
    case 'armGuard':
      return [length(item.attrs.lengthMm)];
    case 'consumables':
      return [item.attrs.contents];
    case 'shaft':
      return [
        w.spine(item.attrs.staticSpineIn),
        w.shaft(item.attrs.outerMm),
        w.uncut(length(item.attrs.stockLengthMm)),
      ];
    case 'nock':
    case 'insert':
      return [grains(), w.into(item.attrs.fitsInnerMm)];
    case 'vane':
      return [grains(), length(item.attrs.lengthMm), w.tall(item.attrs.heightMm)];
    case 'point':
      return [grains(), w.heads[item.attrs.head]];
  }
}
