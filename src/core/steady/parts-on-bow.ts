import { barParts, type Bars, type MassPart } from '../balance';
import type { BowRecord, Place } from '../bow';
import { itemOf, onTheBow, SLOTS, slotName, type Kit, type Slot } from '../kit';
import { latest, type History } from '../setup';
import { gram, mm } from '../units';
import { mirrored, place, smallPartAt, USUAL_QUIVER, USUAL_SIGHT } from './places';

export type QuiverState = 'off' | 'empty' | 'full';

/** How the bow is looked at: which bars, what of the quiver, the sight where it stands or dialled out. */
export interface BowState {
  readonly bars: Bars;
  readonly quiver: QuiverState;
  readonly sightOut: boolean;
}

export interface PartsOnBow {
  readonly parts: readonly MassPart[];
  /** Parts whose place is a shop rule, for want of their own. */
  readonly assumed: readonly string[];
  /** Parts left out of the sum: nothing is known of their mass. */
  readonly unknown: readonly string[];
}

const OF_THE_BARS: readonly Slot[] = ['stabiliser', 'rearBar', 'barMount', 'weights'];
/** Of a sight this part of its mass goes down with the housing. Shop rule. */
const HOUSING_PART = 0.5;

interface Ground {
  readonly bow: BowRecord;
  readonly kit: Kit;
  readonly history: History;
}

/** Everything on the bow but the bow itself, where it sits, in a state of it. */
export function partsOnBow(ground: Ground, state: BowState): PartsOnBow {
  const { bow, kit } = ground;
  const assumed: string[] = [];
  const unknown: string[] = [];
  const parts = SLOTS.flatMap(({ id }): MassPart[] => {
    const chosen = kit[id];
    if (!chosen || !onTheBow(id) || OF_THE_BARS.includes(id)) return [];
    if (id === 'quiver' && state.quiver === 'off') return [];
    if (!chosen.item) {
      unknown.push(chosen.label || slotName(id));
      return [];
    }
    if (id === 'sight') return sightParts(ground, state.sightOut, assumed);
    if (id === 'quiver') return quiverParts(ground, state.quiver, assumed, unknown);
    const at = smallPartAt(id, bow);
    return at ? [{ name: slotName(id), massG: chosen.item.massG, at }] : [];
  });
  const { front, rear } = state.bars;
  return {
    parts: [
      ...parts,
      ...(front ? barParts('front', front, bow.hand) : []),
      ...(rear ? barParts('rear', rear, bow.hand) : []),
    ],
    assumed,
    unknown,
  };
}

interface MassPlace {
  readonly massAheadMm: number | null;
  readonly massUpMm: number | null;
  readonly massOutMm: number | null;
}

/** Where the part says its mass is; else the shop rule, and its name among the assumed. */
function massAt(
  attrs: MassPlace,
  usual: { readonly ahead: number; readonly up: number; readonly out: number },
  bow: BowRecord,
  name: string,
  assumed: string[],
): Place {
  const { massAheadMm, massUpMm, massOutMm } = attrs;
  if (massAheadMm === null || massUpMm === null || massOutMm === null) assumed.push(name);
  return place(
    massAheadMm ?? usual.ahead,
    massUpMm ?? usual.up,
    mirrored(bow.hand, massOutMm ?? usual.out),
  );
}

function sightParts({ bow, kit }: Ground, isOut: boolean, assumed: string[]): MassPart[] {
  const { attrs, massG } = itemOf(kit, 'sight')!;
  const name = slotName('sight');
  const ahead = USUAL_SIGHT.ahead * (attrs.extensionMm ?? USUAL_SIGHT.extensionMm);
  const at = massAt(attrs, { ...USUAL_SIGHT, ahead }, bow, name, assumed);
  if (!isOut || !attrs.slides) return [{ name, massG, at }];
  const housing = gram(HOUSING_PART * massG);
  return [
    { name, massG: gram(massG - housing), at },
    {
      name: `${name}, dialled out`,
      massG: housing,
      at: { ...at, upMm: mm(at.upMm - attrs.travelMm) },
    },
  ];
}

function quiverParts(
  { bow, kit, history }: Ground,
  state: QuiverState,
  assumed: string[],
  unknown: string[],
): MassPart[] {
  const { attrs, massG } = itemOf(kit, 'quiver')!;
  const name = slotName('quiver');
  const usual = USUAL_QUIVER[attrs.mount];
  const at = massAt(attrs, usual, bow, name, assumed);
  const quiver = { name, massG, at };
  if (state !== 'full') return [quiver];
  const arrowG = latest(history, 'arrowMass')?.si ?? itemOf(kit, 'arrows')?.massG ?? null;
  if (arrowG === null) {
    unknown.push('the arrows in the quiver');
    return [quiver];
  }
  const up = mm(attrs.arrowsUpMm ?? usual.arrowsUp);
  return [
    quiver,
    {
      name: `${attrs.arrows} arrows in it`,
      massG: gram(attrs.arrows * arrowG),
      at: { ...at, upMm: up },
    },
  ];
}
