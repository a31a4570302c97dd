import { cellsOf } from './csv';

/** Times, rights, ups: s and mrad. */
interface TraceColumns {
  readonly t: readonly number[];
  readonly r: readonly number[];
  readonly u: readonly number[];
}

type AimFileRead =
  | { readonly ok: true; readonly samples: TraceColumns }
  | { readonly ok: false; readonly message: string };

/** What a column may be called, and what one of its units is in s or mrad. */
const TIME: Readonly<Record<string, number>> = { time_s: 1, time_ms: 0.001 };
const MRAD_PER_DEG = (1000 * Math.PI) / 180;
const along = (name: string): Readonly<Record<string, number>> => ({
  [`${name}_mrad`]: 1,
  [`${name}_urad`]: 0.001,
  [`${name}_deg`]: MRAD_PER_DEG,
});
const COLUMNS = { t: TIME, r: along('right'), u: along('up') } as const;

/** Further and longer nobody aims: a unit is wrong. */
const MOST_MRAD = 1000;
const LONGEST_S = 300;

/** A minute at two hundred a second. */
export const MOST_AIM_ROWS = 12_000;
export const AIM_FILE_LIMIT = 2_000_000;

/** Reads a trace with its units in its header: "time_s,right_mrad,up_mrad", in any order. */
export function readAimFile(text: string): AimFileRead {
  const no = (message: string): AimFileRead => ({ ok: false, message });
  if (text.length > AIM_FILE_LIMIT)
    return no(
      `The file is larger than ${AIM_FILE_LIMIT / 1e6} MB: a minute of aiming is much less.`,
    );
  const [header = [], ...rows] = cellsOf(text).filter((row) =>
    row.some((cell) => cell.trim() !== ''),
  );
  const names = header.map((cell) => cell.trim().toLowerCase());
  const places: Partial<Record<keyof typeof COLUMNS, readonly [at: number, per: number]>> = {};
  for (const [key, known] of Object.entries(COLUMNS)) {
    const at = names.findIndex((name) => Object.hasOwn(known, name));
    if (at < 0)
      return no(
        `The first line names no ${Object.keys(known).join(' or ')}: three columns with their units are needed.`,
      );
    places[key as keyof typeof COLUMNS] = [at, known[names[at]!]!];
  }
  if (rows.length > MOST_AIM_ROWS)
    return no(
      `The file has ${rows.length} rows; at most ${MOST_AIM_ROWS}, a minute at 200 a second.`,
    );
  const columns = { t: [] as number[], r: [] as number[], u: [] as number[] };
  for (const [i, row] of rows.entries())
    for (const key of ['t', 'r', 'u'] as const) {
      const [at, per] = places[key]!;
      const cell = (row[at] ?? '').trim();
      if (!/^[+-]?(\d+([.]\d*)?|[.]\d+)$/.test(cell))
        return no(`Line ${i + 2}: “${cell.slice(0, 20)}” is no number.`);
      columns[key].push(Number(cell) * per);
    }
  // Whatever clock it has, a trace begins at nothing.
  const first = columns.t[0] ?? 0;
  const t = columns.t.map((time) => time - first);
  const late = t.findIndex((time) => time > LONGEST_S);
  if (late >= 0)
    return no(`Line ${late + 2} lies more than ${LONGEST_S} s after the first: is its unit right?`);
  const far = t.findIndex(
    (_, i) => Math.max(Math.abs(columns.r[i]!), Math.abs(columns.u[i]!)) > MOST_MRAD,
  );
  if (far >= 0)
    return no(`Line ${far + 2} points more than ${MOST_MRAD} mrad away: is its unit right?`);
  return { ok: true, samples: { ...columns, t } };
}

export const writeAimFile = ({ t, r, u }: TraceColumns): string =>
  `time_s,right_mrad,up_mrad\n${t.map((time, i) => `${time},${r[i]},${u[i]}`).join('\n')}\n`;
