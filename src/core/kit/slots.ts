/** A place of the bow's package that one part fills. */
export type Slot =
  | 'rest'
  | 'sight'
  | 'peep'
  | 'loop'
  | 'arrows'
  | 'release'
  | 'quiver'
  | 'stabiliser'
  | 'rearBar'
  | 'barMount'
  | 'weights'
  | 'nockingPoint'
  | 'sling'
  | 'dampeners'
  | 'stringStop'
  | 'light'
  | 'case'
  | 'armGuard'
  | 'consumables';

export interface SlotInfo {
  readonly id: Slot;
  readonly name: string;
  /** Without it the bow cannot be used. */
  readonly required: boolean;
  /** Looked for in every whole package; the others only where they are asked for. */
  readonly usual: boolean;
}

const slot = (id: Slot, name: string, kind: 'required' | 'usual' | 'extra'): SlotInfo => ({
  id,
  name,
  required: kind === 'required',
  usual: kind !== 'extra',
});

/** Every place, in the order a shop goes through them. */
export const SLOTS: readonly SlotInfo[] = [
  slot('rest', 'Rest', 'required'),
  slot('sight', 'Sight', 'required'),
  slot('peep', 'Peep', 'required'),
  slot('loop', 'Loop', 'required'),
  slot('arrows', 'Arrows', 'required'),
  slot('release', 'Release', 'required'),
  slot('quiver', 'Quiver', 'usual'),
  slot('stabiliser', 'Stabiliser', 'usual'),
  slot('rearBar', 'Rear bar', 'extra'),
  slot('barMount', 'Bar mount', 'extra'),
  slot('weights', 'Weights', 'extra'),
  slot('nockingPoint', 'Nocking point', 'extra'),
  slot('sling', 'Sling', 'extra'),
  slot('dampeners', 'Dampeners', 'extra'),
  slot('stringStop', 'String stop', 'extra'),
  slot('light', 'Sight light', 'extra'),
  slot('case', 'Case', 'extra'),
  slot('armGuard', 'Arm guard', 'extra'),
  slot('consumables', 'Consumables', 'extra'),
];

/** What an arrow is built from when it is not a ready set. */
export type ArrowPart = 'shaft' | 'nock' | 'vane' | 'insert' | 'point';

export const ARROW_PARTS: readonly { readonly id: ArrowPart; readonly name: string }[] = [
  { id: 'shaft', name: 'Shaft' },
  { id: 'nock', name: 'Nock' },
  { id: 'vane', name: 'Vane' },
  { id: 'insert', name: 'Insert' },
  { id: 'point', name: 'Point' },
];

/** Every kind of part the catalogue knows. */
export type PartKind = Slot | ArrowPart;

export const PART_KINDS: readonly { readonly id: PartKind; readonly name: string }[] = [
  ...SLOTS.map(({ id, name }) => ({ id, name })),
  ...ARROW_PARTS,
];

export const isSlot = (text: string | null): text is Slot => SLOTS.some(({ id }) => id === text);
export const isPartKind = (text: string | null): text is PartKind =>
  PART_KINDS.some(({ id }) => id === text);

export const slotName = (id: PartKind): string =>
  PART_KINDS.find((kind) => kind.id === id)?.name ?? id;

/** More parts of one slot than this are not laid out at once; the others are found by a word. */
export const MOST_OF_A_SLOT = 300;
