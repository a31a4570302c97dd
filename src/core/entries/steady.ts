import { NO_BARS, reactionId, REACTIONS } from '../balance';
import { derive, jobBalance, leanOptions, type JobDerived, type JobSnapshot } from '../job';
import { latest, setupValue } from '../setup';
import { threadsOf, topAxle, type QuiverState } from '../steady';
import { read, type ReadOptions } from '../units';
import { cannot } from './refusal';
import { atSteady, bowOf, type EntryRow } from './rows';
import type { HangPoint, Makers } from './types';

type Row = Pick<EntryRow, 'key' | 'si' | 'entered'> & Partial<EntryRow>;

/** What the bow does, and how it hangs. */
export const STEADY = {
  takeReaction({ bars, quiver, ...seen }, snapshot) {
    const bow = bowOf(snapshot);
    const derived = derive(snapshot);
    const balance = jobBalance(snapshot, derived, bow);
    if (bars && !balance.mounted)
      throw cannot(
        'no-bars-noted',
        'Note first which bars are mounted, or say that there are none.',
        '/bars',
      );
    const state = quiverState(quiver, balance.hasQuiver);
    const { parts } = balance.at({
      bars: bars ? balance.mounted! : NO_BARS,
      quiver: state,
      sightOut: false,
    });
    const id = reactionId(seen);
    const { name } = REACTIONS.find((reaction) => reaction.id === id)!;
    const key = bars ? 'steadyTip' : 'bareReaction';
    return atSteady(snapshot, `${setupValue(key).name}: ${name}`, [
      ...quiverRow(snapshot, state, derived),
      {
        key,
        si: null,
        choice: id,
        entered: name,
        data: { kind: 'reaction', on: parts },
      },
    ]);
  },

  takeHang({ point, lean, forward, up, bare, quiver }, snapshot) {
    const bow = bowOf(snapshot);
    const derived = derive(snapshot);
    const { units } = snapshot.shop;
    const { si, text } = typed(lean, leanOptions(point, units), 'lean');
    const balance = jobBalance(snapshot, derived, bow);
    const { parts } = balance.at({
      bars: balance.mounted ?? NO_BARS,
      quiver: quiverState(quiver, balance.hasQuiver),
      sightOut: false,
    });
    const at = hangPoint(point, { forward, up }, snapshot);
    return atSteady(snapshot, `${setupValue(point).name}: ${text}`, [
      { key: point, si, entered: text, data: { kind: 'hang', at, on: bare ? [] : parts } },
    ]);
  },
} as const satisfies Partial<Makers>;

function typed(text: string, options: ReadOptions, field: string) {
  const answer = read(text, options);
  if (!answer.ok) throw cannot(answer.code, answer.message, `/${field}`);
  return {
    si: answer.si,
    text: answer.unitAssumed ? `${answer.entered} ${answer.unit}` : answer.entered,
  };
}

/** Nothing of a riser is further from its grip, mm. */
const FURTHEST_MM = 600;

function hangPoint(
  point: HangPoint,
  third: { readonly forward?: string | undefined; readonly up?: string | undefined },
  snapshot: JobSnapshot,
) {
  const bow = bowOf(snapshot);
  if (point === 'hangThread') {
    const { at } = threadsOf(bow).threads[0]!;
    return { forwardMm: at.forwardMm, upMm: at.upMm };
  }
  if (point !== 'hangThird') {
    const { forwardMm, upMm } = topAxle(bow);
    return { forwardMm, upMm };
  }
  const along = (text: string | undefined, field: 'forward' | 'up') =>
    typed(
      text ?? '',
      {
        quantity: 'length',
        shop: snapshot.shop.units,
        min: -FURTHEST_MM,
        max: FURTHEST_MM,
        bareUnit: 'mm',
        what: field === 'forward' ? 'distance ahead of the throat' : 'height above the throat',
      },
      field,
    ).si;
  return { forwardMm: along(third.forward, 'forward'), upMm: along(third.up, 'up') };
}

const quiverState = (said: QuiverState, hasQuiver: boolean): QuiverState =>
  hasQuiver ? said : 'off';

/** How the quiver was, where that was not what was noted last. */
export function quiverRow(
  snapshot: JobSnapshot,
  state: QuiverState,
  { history, kit }: JobDerived,
): Row[] {
  const value = setupValue('quiverAtTest');
  const before = latest(history, 'quiverAtTest')?.choice;
  if (kit.quiver === undefined || before === state) return [];
  const { name } = value.choices!.find(({ id }) => id === state)!;
  return [{ key: 'quiverAtTest', si: null, choice: state, entered: name }];
}
