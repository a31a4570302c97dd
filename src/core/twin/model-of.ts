import { CAM_SYSTEMS, type CamSystem, type Hand } from '../bow';
import { oldLetOff, type OldBowKey } from '../fit';
import { oldBowFigures, type JobSnapshot, type ModelBow, type ModelValue } from '../job';
import { answered, refused, type Outcome } from '../outcome';
import { isSetupKey, setupValue, writeValue, type SetupKey } from '../setup';
import type { CodeText, SheetArrow, SheetDocument } from '../sheet';
import { write, type ShopUnits } from '../units';
import { damaged, outOfRange, strangeSheet } from './strange-sheet';

interface Given {
  readonly source: 'sheet' | 'file';
  readonly title: string;
  readonly sheet: ModelBow['sheet'];
}

/**
 * The bow of a build sheet as one to make another like. What was stale on it is not taken: nobody knew it.
 *
 * @param units the texts are written in.
 * @returns a refusal where the sheet has no bow, or a setting that cannot be.
 */
export function modelOfSheet(
  given: SheetDocument,
  { source, title, sheet }: Given,
  units: ShopUnits,
): Outcome<{ readonly model: ModelBow }> {
  const { bow, settings, marks, parts, arrow, madeDay } = given;
  if (!bow) return refused('no-bow', 'There is no bow on this sheet.');
  const strange = strangeSheet(given, bow);
  if (strange) return strange;
  if (!isHand(bow.hand))
    return refused('damaged', 'The sheet does not say of which hand its bow is.');
  const values: ModelValue[] = [];
  for (const { key, si, text, stale, group } of settings) {
    if (group === null || stale !== null || !isSetupKey(key)) continue;
    const wrong = si === null ? null : outOfRange(key, si);
    if (wrong) return wrong;
    if (values.some((value) => value.key === key))
      return damaged(`${setupValue(key).name} stands twice in it`);
    values.push({ key, si, text });
  }
  return answered({
    model: {
      source,
      title,
      sheet,
      day: madeDay,
      bow: {
        name: bow.name,
        hand: bow.hand,
        serial: bow.serial,
        camSystem: bow.camCode,
        letOff: bow.letOff,
        braceHeightMm: bow.braceHeightMm,
        axleToAxleMm: bow.axleToAxleMm,
      },
      values,
      marks: marks && {
        firstM: marks.firstM,
        rows: marks.rows.map(({ distanceM, belowFirstMm }) => ({ distanceM, belowFirstMm })),
        flight: marks.flight,
      },
      parts: parts.map(({ slot, name, label }) => ({ slot, name, label })),
      arrow: arrow && arrowLine(arrow, units),
    },
  });
}

const isHand = (hand: string): hand is Hand => hand === 'right' || hand === 'left';

const arrowLine = (
  { shaft, staticSpineIn, shaftLengthMm, point, pointAndInsertG, massG }: SheetArrow,
  units: ShopUnits,
) =>
  [
    `${shaft}, spine ${staticSpineIn.toFixed(3)}`,
    `cut at ${write(shaftLengthMm, 'length', units)}`,
    `${point ?? 'point'}, ${write(pointAndInsertG, 'mass', units)} with insert`,
    `${write(massG, 'mass', units)} in all`,
  ].join('; ');

/** The bow of a code as one to make another like: it holds numbers, no parts. */
export const modelOfCode = (code: CodeText, units: ShopUnits): ModelBow => ({
  source: 'code',
  title: `The card of ticket ${code.ticket}, sheet ${code.revision}${code.shop ? `, ${code.shop}` : ''}`,
  sheet: null,
  day: code.day,
  bow: {
    name: code.bow,
    hand: code.hand,
    serial: code.serial,
    camSystem: null,
    letOff: null,
    braceHeightMm: code.values.find(({ key }) => key === 'braceHeight')?.si ?? null,
    axleToAxleMm: code.values.find(({ key }) => key === 'axleToAxle')?.si ?? null,
  },
  values: code.values.map(({ key, si }) => ({ key, si, text: writeValue(key, si, units) })),
  marks: code.marks && { ...code.marks, flight: null },
  parts: [],
  arrow: null,
});

/** What of the old bow is a setting of a bow. */
const OF_OLD: readonly (readonly [OldBowKey, SetupKey])[] = [
  ['oldPeak', 'peakWeight'],
  ['oldHolding', 'holdingWeight'],
  ['oldPeepTrueHeight', 'peepTrueHeight'],
  ['oldPeepToPin', 'peepToPin'],
  ['oldPeepHeight', 'peepHeight'],
  ['oldBrace', 'braceHeight'],
  ['oldAxle', 'axleToAxle'],
  ['oldMass', 'bowMass'],
];

/**
 * The bow they like, as it was measured in the fit.
 *
 * @returns a refusal where nothing of it was measured.
 */
export function modelOfOldBow({
  fitReadings,
  archer,
  shop,
}: JobSnapshot): Outcome<{ readonly model: ModelBow }> {
  const old = oldBowFigures(fitReadings);
  const length = fitReadings.findLast(({ key }) => key === 'fittingBow')?.si ?? null;
  const told: (readonly [SetupKey, number])[] = [
    ...(length === null ? [] : [['drawLength', length] as const]),
    ...OF_OLD.flatMap(([from, key]) =>
      old[from] === undefined ? [] : [[key, old[from]] as const],
    ),
  ];
  if (told.length === 0)
    return refused(
      'nothing-measured',
      'Nothing of the old bow was measured yet: it is done in the fit, under “Old bow”.',
    );
  return answered({
    model: {
      source: 'oldBow',
      title: 'The old bow as it was measured here',
      sheet: null,
      day: null,
      bow: {
        name: null,
        hand: archer.hand,
        serial: null,
        camSystem: null,
        letOff: oldLetOff(old),
        braceHeightMm: old.oldBrace ?? null,
        axleToAxleMm: old.oldAxle ?? null,
      },
      values: told.map(([key, si]) => ({ key, si, text: writeValue(key, si, shop.units) })),
      marks: null,
      parts: [],
      arrow: null,
    },
  });
}

/** The model's bow in words: "Almveit Grauspecht 34, right hand, two cams, no. GR-34-1187". */
export const modelBowLine = ({ bow: { name, hand, camSystem, serial } }: ModelBow): string =>
  [
    name ?? 'The bow they like',
    `${hand} hand`,
    camSystem && CAM_SYSTEMS[camSystem as CamSystem],
    serial && `no. ${serial}`,
  ]
    .filter(Boolean)
    .join(', ');
