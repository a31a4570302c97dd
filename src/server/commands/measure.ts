import { group, type Hit } from '@/core/flight';
import { derive, fitKeyName, isFitKey } from '@/core/job';
import { latest, setupValue, type SetupKey } from '@/core/route';
import { metre, mm, read, write } from '@/core/units';
import { appendReading } from '@/data/records';
import { appendRows, toRows } from '../take-readings';
import { cannot, type Handlers } from './types';

/** Readings and groups. */
export const MEASURE = {
  takeReadings({ readings }, work) {
    const { db, snapshot } = work;
    const rows = readings.flatMap((entry, i) => toRows(entry, i, snapshot));
    const seqs = appendRows(db, rows, { jobId: snapshot.job.id, who: work.who, at: work.at });
    const last = rows.at(-1)!;
    const name = isFitKey(last.key) ? fitKeyName(last.key) : setupValue(last.key as SetupKey).name;
    return {
      summary: `${name}: ${last.entered}${rows.length > 1 ? ` and ${rows.length - 1} more` : ''}`,
      inverse: { do: 'retract', seqs },
    };
  },

  takeGroup({ distance, hits }, { db, snapshot, who, at }) {
    if (!snapshot.bow) throw cannot('no-bow', 'Choose a bow first.');
    const read18 = read(distance, {
      quantity: 'distance',
      shop: snapshot.shop.units,
      min: 3,
      max: 150,
      what: 'distance',
    });
    if (!read18.ok) throw cannot(read18.code, read18.message, '/command/distance');
    const { history } = derive(snapshot);
    const radius = latest(history, 'peepToPin')?.si ?? null;
    if (radius === null)
      throw cannot(
        'inputs-missing',
        'Peep to pin is not measured yet: the pin’s move hangs on it.',
      );
    const answer = group({
      hits: hits as Hit[],
      distanceM: metre(read18.si),
      peepToPinMm: mm(radius),
    });
    if (answer.adjust || answer.pValue === null) {
      throw cannot(
        'not-settled',
        answer.adjust
          ? 'This group is off the aim: move the pin first, then shoot again.'
          : 'At least three arrows confirm a distance.',
      );
    }
    const seq = appendReading(db, {
      jobId: snapshot.job.id,
      bowId: snapshot.bow.id,
      key: 'firstMark',
      si: read18.si,
      si2: answer.pValue,
      choice: null,
      entered: `${distance.trim()}, ${hits.length} arrows`,
      method: 'group',
      who,
      at,
      retracts: null,
    });
    return {
      summary: `First distance confirmed at ${write(read18.si, 'distance', snapshot.shop.units)}`,
      inverse: { do: 'retract', seqs: [seq] },
    };
  },
} satisfies Partial<Handlers>;
