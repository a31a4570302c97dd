'use client';
import {
  doubtful,
  isChild,
  methodEntry,
  retake,
  type DrawLengthMethod,
  type DrawLengthReading,
} from '@/core/fit';
import { isMethod, lengthReadings, loopCounts, readOptionsFor } from '@/core/job';
import { mm, read, write } from '@/core/units';
import { WithFractions } from '../../fields/Figure';
import { useAsk } from '../../frame/useAsk';
import { useJob } from '../../job/JobProvider';
import type { Trouble } from '../../keep/post';
import { fit as w } from '../../words';

/**
 * Takes a draw-length reading, and asks first where it is hardly anybody's or not what this method said
 * before. `asking` is drawn by whoever uses it.
 */
export function useLengthTake(method: DrawLengthMethod, taken: () => void) {
  const { snapshot, send } = useJob();
  const { units } = snapshot.shop;
  const before = snapshot.fitReadings.filter(({ key }) => isMethod(key));
  const options = readOptionsFor(method, units, snapshot.bow)!;
  const { ask, asking } = useAsk();
  /** Nothing usual, or not what this method said before: asked, and done as it is answered. */
  const take = async (entered: string): Promise<Trouble | null> => {
    const answer = read(entered, options);
    if (!answer.ok) return { message: answer.message, pointer: '' };
    const reading = { method, valueMm: mm(answer.si) };
    const who = isChild(snapshot.archer.ageBand) ? 'child' : 'adult';
    const doubt = doubtful(reading, who, loopCounts(snapshot));
    if (doubt) {
      const length = write(doubt.drawLengthMm, 'length', units);
      const sure = await ask({
        title: w.sureTitle,
        text: <WithFractions text={w.sure(length, doubt.side, who)} />,
        answers: [
          { id: 'again', name: w.measureAgain },
          { id: 'right', name: w.isRight },
        ],
      });
      if (sure !== 'right') return { message: w.notTaken, pointer: '' };
    }
    const instead = await wrongOnes(entered, reading);
    if (instead === null) return { message: w.notTaken, pointer: '' };
    const trouble = await send({
      name: 'takeReadings',
      readings: [{ key: method, entered }],
      ...(instead.length > 0 ? { instead } : {}),
    });
    if (!trouble) taken();
    return trouble;
  };
  /** Earlier readings of the body said to be wrong; null where the new one is. */
  const wrongOnes = async (
    entered: string,
    reading: DrawLengthReading,
  ): Promise<number[] | null> => {
    // Of a bow the newest counts; nobody has to say so.
    if (method === 'fittingBow') return [];
    const other = retake(lengthReadings(before), reading, { loopCounts: loopCounts(snapshot) });
    if (!other || other.beside) return [];
    const own = before.filter(({ key }) => key === method);
    const off = write(Math.abs(other.offMm), 'length', units);
    const name = methodEntry(method).name;
    const said = await ask({
      title: w.retakeTitle(name),
      text: (
        <WithFractions
          text={w.retake(
            own.map((row) => row.entered),
            entered,
            off,
          )}
        />
      ),
      answers: [
        { id: 'both', name: w.bothCount },
        { id: 'first', name: w.firstWrong },
        { id: 'this', name: w.thisWrong },
      ],
    });
    if (said === 'first') return own.map(({ seq }) => seq);
    return said === 'both' ? [] : null;
  };
  return { take, asking, options };
}
