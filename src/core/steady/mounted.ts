import type { Bars, BarSet, BarSide } from '../balance';
import { latest, type History, type Reading } from '../setup';
import { degree, mm } from '../units';
import type { QuiverState } from './parts-on-bow';

const setOf = (reading: Reading | null): BarSet | null =>
  reading?.data?.kind === 'bar' ? reading.data.set : null;

/** What was read of an angle or a count after the bar was mounted counts over what was noted then. */
function since(history: History, key: Reading['key'], bar: Reading): number | null {
  const reading = latest(history, key);
  return reading && reading.seq > bar.seq ? reading.si : null;
}

function sideOf(history: History, side: BarSide): BarSet | null {
  const reading = latest(history, side === 'front' ? 'frontBar' : 'rearBar');
  const set = setOf(reading);
  if (!reading || !set) return null;
  const down = since(history, side === 'front' ? 'frontBarDown' : 'rearBarDown', reading);
  const count = since(history, side === 'front' ? 'frontDiscs' : 'rearDiscs', reading);
  const out = side === 'rear' ? since(history, 'rearBarSide', reading) : null;
  const slid = side === 'rear' ? since(history, 'rearBarSlide', reading) : null;
  return {
    ...set,
    downDeg: degree(down ?? set.downDeg),
    sideDeg: degree(out ?? set.sideDeg),
    slideMm: mm(slid ?? set.slideMm),
    discs:
      count === null || !set.discs
        ? set.discs
        : count > 0
          ? { ...set.discs, count: Math.round(count) }
          : null,
  };
}

/** The bars as they were mounted last; null where nobody noted any. */
export function mountedBars(history: History): Bars | null {
  if (!latest(history, 'frontBar') && !latest(history, 'rearBar')) return null;
  return { front: sideOf(history, 'front'), rear: sideOf(history, 'rear') };
}

/** How the quiver was when the bow was shot last; as it usually is where nobody said. */
export function quiverNow(history: History, hasQuiver: boolean): QuiverState {
  if (!hasQuiver) return 'off';
  const said = latest(history, 'quiverAtTest')?.choice;
  return said === 'off' || said === 'empty' || said === 'full' ? said : 'full';
}
