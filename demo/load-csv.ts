import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import type { BowRecord } from '@/core/bow';
import type { CatalogueItem } from '@/core/kit';
import { G_PER_GRAIN, MM_PER_INCH, MPS_PER_FPS, N_PER_POUND } from '@/core/units';

type Row = Record<string, string>;

function rows(name: string): Row[] {
  const text = readFileSync(join(process.cwd(), 'demo', name), 'utf8');
  const { data, errors } = Papa.parse<Row>(text, { header: true, skipEmptyLines: true });
  if (errors.length > 0) throw new Error(`${name}, row ${errors[0]!.row}: ${errors[0]!.message}`);
  return data;
}

const words = (text: string) => text.split(' ').filter(Boolean);

function inches(text: string): number {
  const [numerator, denominator] = text.split('/').map(Number);
  return denominator === undefined ? numerator! : numerator! / denominator;
}
const mmOf = (text: string) => inches(text) * MM_PER_INCH;
const mmOrNull = (text: string) => (text === '' ? null : mmOf(text));

/** The demo shop's bows; trade units in the file, SI in the record. */
export const demoBows = (): BowRecord[] =>
  rows('bows.csv').map(
    (row) =>
      ({
        id: row.id!,
        maker: row.maker!,
        model: row.model!,
        hand: row.hand!,
        camSystem: row.cam_system!,
        character: row.character!,
        modules: words(row.modules!).map((pair) => {
          const [label, length] = pair.split('=');
          return { label: label!, drawLengthMm: mmOf(length!) };
        }),
        fixedDrawLengthMm: mmOrNull(row.fixed_draw_length_in!),
        moduleCams: words(row.module_cams!),
        minPeakN: Number(row.min_peak_lb) * N_PER_POUND,
        maxPeakN: Number(row.max_peak_lb) * N_PER_POUND,
        maxTurns: row.max_turns === '' ? null : Number(row.max_turns),
        letOff: Number(row.let_off_pct) / 100,
        braceHeightMm: mmOf(row.brace_height_in!),
        axleToAxleMm: mmOf(row.axle_to_axle_in!),
        massG: Number(row.mass_g),
        centreShotMm: mmOrNull(row.centre_shot_in!),
        ratedSpeedMps: Number(row.rated_speed_fps) * MPS_PER_FPS,
        ratedDrawLengthMm: mmOf(row.rated_draw_length_in!),
        ratedPeakN: Number(row.rated_peak_lb) * N_PER_POUND,
        ratedArrowG: Number(row.rated_arrow_gr) * G_PER_GRAIN,
        restMounts: words(row.rest_mounts!),
        sightMounts: words(row.sight_mounts!),
        quiverMounts: words(row.quiver_mounts!),
        priceCents: Math.round(Number(row.price_eur) * 100),
        stock: Number(row.stock),
        deliveryDays: Number(row.delivery_days),
      }) as unknown as BowRecord,
  );

function attrValue(text: string): string | number | boolean {
  if (text === 'true' || text === 'false') return text === 'true';
  return text !== '' && Number.isFinite(Number(text)) ? Number(text) : text;
}

/** The demo shop's catalogue; attributes are written "key=value; key=value". */
export const demoCatalogue = (): CatalogueItem[] =>
  rows('catalogue.csv').map(
    (row) =>
      ({
        id: row.id!,
        slot: row.slot!,
        maker: row.maker!,
        model: row.model!,
        hand: row.hand!,
        massG: Number(row.mass_g),
        priceCents: Math.round(Number(row.price_eur) * 100),
        stock: Number(row.stock),
        deliveryDays: Number(row.delivery_days),
        attrs: Object.fromEntries(
          row.attrs!.split(';').map((pair) => {
            const [key, value] = pair.split('=').map((part) => part.trim());
            return [key!, attrValue(value!)];
          }),
        ),
      }) as unknown as CatalogueItem,
  );
