/** From and to, minutes since midnight by the shop's clock. */
export interface Shift {
  readonly from: number;
  readonly to: number;
}
/** Monday to Sunday; null is a day off. */
export type WeekHours = readonly (Shift | null)[];

/** Until somebody sets them. */
export const USUAL_SHIFT: Shift = { from: 9 * 60, to: 20 * 60 };
export const USUAL_WEEK: WeekHours = Array.from({ length: 7 }, () => USUAL_SHIFT);

/** Day of the week of YYYY-MM-DD, Monday 0. */
export const weekday = (day: string) => (new Date(`${day}T12:00:00Z`).getUTCDay() + 6) % 7;

const CLOCK = /^(\d{1,2})(?:[:.](\d{2}))?$/;

function minutesOf(text: string): number | null {
  const match = CLOCK.exec(text.trim());
  if (!match) return null;
  const [hours, minutes] = [Number(match[1]), Number(match[2] ?? 0)];
  return hours <= 24 && minutes < 60 && hours * 60 + minutes <= 1440 ? hours * 60 + minutes : null;
}

/**
 * "9-18", "9:30–17:00" as a shift; empty or "off" as a day off.
 *
 * @returns undefined where it is none of them, or ends before it begins.
 */
export function readShift(text: string): Shift | null | undefined {
  const said = text.trim().toLowerCase();
  if (said === '' || said === 'off' || said === '–' || said === '-') return null;
  const parts = said.split(/\s*(?:-|–|to)\s*/);
  if (parts.length !== 2) return undefined;
  const [from, to] = parts.map(minutesOf);
  return from === null || to === null || from! >= to! ? undefined : { from: from!, to: to! };
}

export const clockText = (minutes: number) =>
  `${Math.floor(minutes / 60)}${minutes % 60 === 0 ? '' : `:${String(minutes % 60).padStart(2, '0')}`}`;

export const shiftText = (shift: Shift | null) =>
  shift === null ? '' : `${clockText(shift.from)}–${clockText(shift.to)}`;
