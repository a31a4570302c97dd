import { write, type ShopUnits } from '../../units';
import type { Attrs, ValuesOf } from './attr';
import type { PartDescription, PlaceDescription, Say } from './part';
import { ARM_GUARD } from './arm-guard';
import { ARROWS } from './arrows';
import { BAR_MOUNT } from './bar-mount';
import { CASE } from './case';
import { CONSUMABLES } from './consumables';
import { DAMPENERS } from './dampeners';
import { INSERT } from './insert';
import { LIGHT } from './light';
import { LOOP } from './loop';
import { NOCK } from './nock';
import { NOCKING_POINT } from './nocking-point';
import { PEEP } from './peep';
import { POINT } from './point';
import { QUIVER } from './quiver';
import { REAR_BAR } from './rear-bar';
import { RELEASE } from './release';
import { REST } from './rest';
import { SHAFT } from './shaft';
import { SIGHT } from './sight';
import { SLING } from './sling';
import { STABILISER } from './stabiliser';
import { STRING_STOP } from './string-stop';
import { VANE } from './vane';
import { WEIGHTS } from './weights';

export type { Attr, Holds } from './attr';
export type { ArcherFacts, ShootingPurpose } from './part';

/** Every place of the bow's package that one part fills, in the order a shop goes through them. */
const PLACES = {
  rest: REST,
  sight: SIGHT,
  peep: PEEP,
  loop: LOOP,
  arrows: ARROWS,
  release: RELEASE,
  quiver: QUIVER,
  stabiliser: STABILISER,
  rearBar: REAR_BAR,
  barMount: BAR_MOUNT,
  weights: WEIGHTS,
  nockingPoint: NOCKING_POINT,
  sling: SLING,
  dampeners: DAMPENERS,
  stringStop: STRING_STOP,
  light: LIGHT,
  case: CASE,
  armGuard: ARM_GUARD,
  consumables: CONSUMABLES,
};

/** What an arrow is built from when it is not a ready set. */
const COMPONENTS = { shaft: SHAFT, nock: NOCK, vane: VANE, insert: INSERT, point: POINT };

const KINDS = { ...PLACES, ...COMPONENTS };

/** A place of the bow's package that one part fills. */
export type Slot = keyof typeof PLACES;
/** What an arrow is built from when it is not a ready set. */
export type ArrowPart = keyof typeof COMPONENTS;
/** Every kind of part the catalogue knows. */
export type PartKind = Slot | ArrowPart;

/** What is known of a part, by its kind. */
export type AttrsOf = { [K in PartKind]: ValuesOf<(typeof KINDS)[K]['attrs']> };

/** Names of the line drawings parts are shown by. */
export type PartDrawingName = (typeof KINDS)[PartKind]['drawing'];
/** What is known of the parts shown by one drawing. */
export type AttrsDrawnAs<D extends PartDrawingName> = {
  [K in PartKind]: (typeof KINDS)[K]['drawing'] extends D ? AttrsOf[K] : never;
}[PartKind];

type AnyPlace = PlaceDescription<Attrs, PartDrawingName>;
type AnyKind = PartDescription<Attrs, PartDrawingName>;

/** Each description takes the attributes of its own kind alone; whoever asks by kind hands it those. */
export const placeOf = (slot: Slot): AnyPlace => PLACES[slot] as unknown as AnyPlace;
export const kindOf = (kind: PartKind): AnyKind => KINDS[kind] as unknown as AnyKind;

const keysOf = <T extends object>(record: T) => Object.keys(record) as (keyof T)[];

export interface SlotInfo {
  readonly id: Slot;
  readonly name: string;
  /** Without it the bow cannot be used. */
  readonly required: boolean;
  /** Looked for in every whole package; the others only where they are asked for. */
  readonly usual: boolean;
}

export const SLOTS: readonly SlotInfo[] = keysOf(PLACES).map((id) => {
  const { name, need } = PLACES[id];
  return { id, name, required: need === 'required', usual: need !== 'extra' };
});

export const ARROW_PARTS: readonly { readonly id: ArrowPart; readonly name: string }[] = keysOf(
  COMPONENTS,
).map((id) => ({ id, name: COMPONENTS[id].name }));

export const PART_KINDS: readonly { readonly id: PartKind; readonly name: string }[] = [
  ...SLOTS.map(({ id, name }) => ({ id, name })),
  ...ARROW_PARTS,
];

export const isSlot = (text: string | null): text is Slot =>
  text !== null && Object.hasOwn(PLACES, text);
export const isPartKind = (text: string | null): text is PartKind =>
  text !== null && Object.hasOwn(KINDS, text);

export const slotName = (id: PartKind): string => KINDS[id].name;

/** Whether it hangs on the bow while it is held. */
export const onTheBow = (slot: Slot): boolean => PLACES[slot].onTheBow;

/** More parts of one slot than this are not laid out at once; the others are found by a word. */
export const MOST_OF_A_SLOT = 300;

/** Of one kind, as its own examples say: for tests and for the first row of a form. */
export const exampleAttrs = <K extends PartKind>(kind: K): AttrsOf[K] =>
  Object.fromEntries(
    Object.entries(kindOf(kind).attrs).map(([name, { example }]) => [name, example]),
  ) as AttrsOf[K];

/** A number and its unit stay in one line. */
const together = (fact: string) => fact.replace(/(\d) (?=(?:g|gr|mm|in)\b)/g, '$1\u00a0');

/** What is worth knowing of a part at a glance: "3 pins, fixed · two axes · side plate · 220 g". */
export function partFacts(
  part: { readonly slot: PartKind; readonly attrs: object; readonly massG: number },
  shop: ShopUnits,
): string {
  const { glance, saysMass } = kindOf(part.slot);
  const say: Say = {
    length: (mm) => write(mm, 'length', shop),
    mass: (g) => write(g, 'mass', shop),
  };
  const facts = glance(part.attrs as ValuesOf<Attrs>, say, part.massG);
  const mass = write(part.massG, 'mass', { ...shop, mass: 'g' }, { decimals: 0 });
  return [...facts, !saysMass && mass]
    .filter((fact) => fact !== false)
    .map(together)
    .join(' · ');
}
