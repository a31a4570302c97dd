import { POSTURE_SEEN } from '../fit';
import {
  addedTo,
  isFitKey,
  posturePlace,
  readOptionsFor,
  standingTurns,
  type EntryKey,
  type FitKey,
  type JobSnapshot,
} from '../job';
import { historyOf, isPartKey, isSetupKey, setupValue } from '../setup';
import { read, TRADE_UNITS } from '../units';
import { cannot, NO_BOW } from './refusal';
import type { EntryRow } from './rows';

/** A reading as it was typed or ticked. */
export interface TypedReading {
  readonly key: string;
  readonly entered: string;
  readonly entered2?: string;
  readonly choice?: string;
  readonly method?: string;
}

/** As the trade says it: what lies between plunger hole and standard draw length. */
const ADDED_TEXT = '1 3/4 in';

const LONGEST_TEXT = 60;

type Number = { si: number; text: string };

const refuse = (reason: string, pointer: string, detail: string) => cannot(reason, detail, pointer);

/** Turns what was typed into rows, or refuses with the field. */
export function toRows(entry: TypedReading, at: number, snapshot: JobSnapshot): EntryRow[] {
  const { bow, shop } = snapshot;
  const pointer = `/readings/${at}`;
  const { key } = entry;
  if (!isFitKey(key) && (!isSetupKey(key) || isPartKey(key))) {
    throw refuse('unknown-value', `${pointer}/key`, `There is no value called “${key}”.`);
  }
  if (isSetupKey(key) && !bow) throw refuse(NO_BOW[0], `${pointer}/key`, NO_BOW[1]);
  const base = {
    bowId: isSetupKey(key) ? bow!.id : null,
    method: entry.method ?? 'typed',
    si2: null,
    retracts: null,
  };
  const number = (text: string, asKey: EntryKey, field: string): Number => {
    const options = readOptionsFor(asKey, shop.units, bow)!;
    const result = read(text, options);
    if (!result.ok) throw refuse(result.code, `${pointer}/${field}`, result.message);
    return {
      si: result.si,
      text: result.unitAssumed ? `${result.entered} ${result.unit}` : result.entered,
    };
  };
  if (isFitKey(key)) {
    const row = fitRow(entry, key, number, pointer, base);
    // Drawn with the other hand it says nothing of this one.
    return [
      key === 'weightTrial' ? { ...row, data: { kind: 'trial', hand: snapshot.archer.hand } } : row,
    ];
  }
  const value = setupValue(key);
  if (value.takenWhole)
    throw refuse(
      'wrong-command',
      `${pointer}/key`,
      `${value.name}: taken on the stage Steady, with what hangs on the bow.`,
    );
  switch (value.kind) {
    case 'check':
      return [{ ...base, key, si: 1, choice: null, entered: 'done' }];
    case 'choice': {
      const chosen = value.choices?.find((choice) => choice.id === entry.choice);
      if (!chosen)
        throw refuse(
          'unknown-choice',
          `${pointer}/choice`,
          `Possible: ${value.choices?.map((c) => c.id).join(', ')}.`,
        );
      return [{ ...base, key, si: null, choice: chosen.id, entered: chosen.name }];
    }
    case 'text': {
      const words = entry.entered.trim().replace(/\s+/g, ' ');
      if (words === '' || words.length > LONGEST_TEXT)
        throw refuse(
          'no-text',
          `${pointer}/entered`,
          `${value.name}: one to ${LONGEST_TEXT} characters, as it stands there.`,
        );
      return [{ ...base, key, si: null, choice: words, entered: words }];
    }
    case 'group':
    case 'mark':
    case 'drift':
      throw refuse('wrong-command', `${pointer}/key`, `${value.name}: taken with its hits.`);
    case 'tear': {
      const right = number(entry.entered, key, 'entered');
      const up = number(entry.entered2 ?? '', key, 'entered2');
      return [
        {
          ...base,
          key,
          si: right.si,
          si2: up.si,
          choice: null,
          entered: `${right.text} right, ${up.text} up`,
        },
      ];
    }
    default: {
      const first = number(entry.entered, key, 'entered');
      const added = addedTo(key);
      const row = {
        ...base,
        key,
        si: first.si + added,
        choice: null,
        entered: added > 0 ? `${first.text} + ${ADDED_TEXT}` : first.text,
      };
      if (key !== 'peakWeight') return [row];
      if (entry.entered2 === undefined) {
        // A weighing without turns is one where the bolts stand.
        return [{ ...row, si2: standingTurns(historyOf(snapshot.readings)) }];
      }
      return weighing(row, entry.entered2, number, snapshot, pointer);
    }
  }
}

const SEEN_NAMES: Record<string, string> = {
  right: 'right',
  left: 'left',
  unsure: 'not clear',
  tooLong: 'too long',
  tooShort: 'too short',
  smooth: 'smooth',
  strained: 'strained',
  failed: 'failed',
  pain: 'pain',
};

/** What may be chosen for a reading of the fit; null for a plain number. */
function choicesOf(key: FitKey): readonly string[] | null {
  if (key === 'weightTrial') return ['smooth', 'strained', 'failed', 'pain'];
  if (key === 'eyeTest') return ['right', 'left', 'unsure'];
  return posturePlace(key) ? POSTURE_SEEN : null;
}

/** A number of the archer, a trial with how it went and how long it was held, or something seen. */
function fitRow(
  entry: TypedReading,
  key: FitKey,
  number: (text: string, key: EntryKey, field: string) => Number,
  pointer: string,
  base: Pick<EntryRow, 'bowId' | 'method' | 'si2' | 'retracts'>,
) {
  const choices = choicesOf(key);
  const choice = entry.choice ?? '';
  if (choices && !choices.includes(choice)) {
    const names = choices.map((id) => SEEN_NAMES[id]!);
    throw refuse(
      'unknown-choice',
      `${pointer}/choice`,
      `Say how it is: ${names.slice(0, -1).join(', ')} or ${names.at(-1)!}.`,
    );
  }
  if (choices && key !== 'weightTrial')
    return { ...base, key, si: null, choice, entered: SEEN_NAMES[choice]! };
  const { si, text } = number(entry.entered, key, 'entered');
  const held = key === 'weightTrial' && entry.entered2 !== undefined;
  return {
    ...base,
    key,
    si,
    si2: held ? heldSeconds(entry.entered2!, pointer) : null,
    choice: choices ? choice : null,
    entered: text,
  };
}

const LONGEST_HOLD_S = 120;

function heldSeconds(text: string, pointer: string): number {
  const answer = read(text, {
    quantity: 'time',
    shop: TRADE_UNITS,
    min: 0,
    max: LONGEST_HOLD_S,
    what: 'time held',
  });
  if (!answer.ok) throw refuse(answer.code, `${pointer}/entered2`, answer.message);
  return answer.si;
}

/** A weighing brings the turns it was made at, and both bolts stand there. */
function weighing(
  row: EntryRow,
  turnsText: string,
  number: (text: string, key: EntryKey, field: string) => Number,
  { bow, readings }: JobSnapshot,
  pointer: string,
) {
  if (bow!.maxTurns === null) {
    throw refuse(
      'no-turn-limit',
      `${pointer}/entered2`,
      'No turn limit is known for this bow: weigh it, and do not set it by turns.',
    );
  }
  const turns = number(turnsText, 'limbTurnsUpper', 'entered2');
  const bolts = (['limbTurnsUpper', 'limbTurnsLower'] as const).flatMap((key) => {
    const before = readings.filter((reading) => reading.key === key).at(-1);
    const same = before && Math.abs((before.si ?? 0) - turns.si) < 0.01;
    return same ? [] : [{ ...row, key, si: turns.si, si2: null, entered: turns.text }];
  });
  return [...bolts, { ...row, si2: turns.si }];
}
