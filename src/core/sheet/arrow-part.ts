import { arrowOf } from '../arrow';
import type { JobDerived, JobSnapshot } from '../job';
import { buildOf, itemOf, partName, type ArrowParts } from '../kit';
import { latest } from '../setup';
import type { SheetArrow } from './sheet-document';

/**
 * The arrow as it was built, or as the catalogue knows a finished one.
 *
 * @param parts of a set built here, as they stand in the stock; null where one is gone or none was built.
 * @returns null where the job has no arrows, or they are the archer's own and unknown.
 */
export function arrowPart(
  { parts, bow }: JobSnapshot,
  { kit, history, kitContext }: JobDerived,
  components: ArrowParts | null,
): SheetArrow | null {
  const held = parts.find(({ slot }) => slot === 'arrows');
  const set = itemOf(kit, 'arrows');
  if (!held || !set) return null;
  const measured = latest(history, 'arrowMass')?.si ?? null;
  const { attrs } = set;
  const base = {
    count: attrs.count,
    staticSpineIn: attrs.staticSpineIn,
    shaftLengthMm: attrs.shaftLengthMm,
    shaftOuterMm: attrs.shaftOuterMm,
    pointAndInsertG: attrs.pointAndInsertG,
    massG: measured ?? set.massG,
    massFrom: measured === null ? ('catalogue' as const) : ('measured' as const),
  };
  const { build } = held;
  if (!build || !components)
    return {
      ...base,
      shaft: held.label,
      nock: null,
      vanes: null,
      insert: null,
      point: null,
      balanceFromNockMm: null,
      frontOfCentrePct: null,
    };
  const { shaft, nock, vane, insert, point } = components;
  const ground = {
    bow,
    drawLengthMm: kitContext.drawLengthMm,
    peakN: null,
    overhangMm: kitContext.lines.overhangMm,
    restAheadMm: kitContext.restAheadMm,
  };
  const arrow = arrowOf(buildOf(build, components, ground));
  return {
    ...base,
    shaft: partName(shaft),
    nock: partName(nock),
    vanes: `${build.vaneCount} × ${partName(vane)}`,
    insert: partName(insert),
    point: partName(point),
    balanceFromNockMm: arrow.ok ? arrow.balanceFromNockMm : null,
    frontOfCentrePct: arrow.ok ? arrow.frontOfCentrePct : null,
  };
}
