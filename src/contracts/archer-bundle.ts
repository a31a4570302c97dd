import { Type, type Static } from '@sinclair/typebox';
import type { Archer } from '@/core/job';
import { checker } from './ajv';
import { strict } from './lane-commands';

export const BUNDLE_FORMAT = 'waffenrad-archer';
export const BUNDLE_VERSION = 1;
/** Name of the JSON in the ZIP. */
export const BUNDLE_FILE = 'waffenrad-archer.json';
/** The bows of the bundle, as the shop's lists are written (docs/formats/bows.md). */
export const BUNDLE_BOWS = 'bows.csv';

const Words = (maxLength = 2000) => Type.String({ maxLength });
const Day = Type.String({ format: 'date' });
const Instant = Type.String({ format: 'date-time' });
const Maybe = <T extends Parameters<typeof Type.Union>[0][number]>(schema: T) =>
  Type.Union([schema, Type.Null()]);
const Open = Type.Object({}, { additionalProperties: true });

/** What was answered, as a record of the archer says it; lists of choices are those of the program. */
const BundleArcher = Type.Unsafe<Omit<Archer, 'id'>>(
  Type.Object(
    {
      name: Type.String({ minLength: 1, maxLength: 120 }),
      phone: Words(60),
      email: Words(120),
      minor: Type.Boolean(),
      guardianName: Words(120),
      guardianPhone: Words(60),
      hand: Type.String({ enum: ['right', 'left'] }),
      dominantEye: Type.String({ enum: ['right', 'left', 'unsure'] }),
      ageBand: Type.String({ enum: ['under12', '12to15', '16to59', 'from60'] }),
      build: Type.String({ enum: ['slight', 'medium', 'strong'] }),
      experience: Type.String({ enum: ['none', 'some', 'returning', 'regular'] }),
      birthDay: Maybe(Day),
      injured: Type.String({ enum: ['unknown', 'no', 'yes', 'healed'] }),
      injury: Words(300),
      eyesight: Words(300),
      release: Type.String({ enum: ['thumb', 'index', 'backTension', 'unknown'] }),
      wall: Type.String({ enum: ['firm', 'soft', 'either', 'unknown'] }),
      eyeHandling: Type.String({ enum: ['open', 'otherHand', 'closeEye', 'cover', 'train'] }),
    },
    strict,
  ),
);

const BundleReading = Type.Object(
  {
    key: Words(60),
    si: Maybe(Type.Number()),
    si2: Maybe(Type.Number()),
    choice: Maybe(Words()),
    entered: Words(),
    method: Words(60),
    who: Words(60),
    at: Instant,
  },
  strict,
);

const BundleJob = Type.Object(
  {
    number: Type.Integer({ minimum: 1, description: 'Ticket number there' }),
    openedAt: Instant,
    handedOverAt: Maybe(Instant),
    answers: Type.Object(
      { purpose: Words(20), furthestM: Maybe(Type.Number()), notes: Words(), alreadyOwn: Words() },
      { additionalProperties: true },
    ),
    bow: Maybe(
      Type.Object(
        {
          id: Type.String({ minLength: 1, maxLength: 60, description: 'Its row in bows.csv' }),
          name: Words(200),
          untold: Type.Array(Words(40), {
            maxItems: 40,
            description: 'What could not be told of a bow that was brought along',
          }),
        },
        strict,
      ),
    ),
    serial: Maybe(Words(60)),
    parts: Type.Array(
      Type.Object(
        { slot: Words(40), name: Words(200), owned: Type.Boolean(), priceCents: Type.Integer() },
        strict,
      ),
      { maxItems: 60 },
    ),
    readings: Type.Array(BundleReading, {
      maxItems: 20_000,
      description: 'That count, in their order; of the archer and of the bow, SI',
    }),
    sheets: Type.Array(Open, {
      maxItems: 500,
      description: 'Build sheets as they were made, the newest first (build-sheet.schema.json)',
    }),
    quotes: Type.Array(Open, { maxItems: 500, description: 'As they were given' }),
    payments: Type.Array(
      Type.Object({ at: Instant, kind: Words(20), way: Words(20), cents: Type.Integer() }, strict),
      { maxItems: 5000 },
    ),
    entries: Type.Array(Type.Object({ at: Instant, who: Words(60), what: Words() }, strict), {
      maxItems: 50_000,
      description: 'What was entered, in words, the oldest first',
    }),
    photos: Type.Array(
      Type.Object({ file: Words(80), at: Instant, about: Words(80), words: Words() }, strict),
      { maxItems: 500, description: 'Pictures in the same ZIP, JPEG' },
    ),
  },
  strict,
);

/** One archer with bows and sheets; published as docs/formats/archer.schema.json. */
export const ArcherBundleSchema = Type.Object(
  {
    format: Type.Literal(BUNDLE_FORMAT),
    formatVersion: Type.Literal(BUNDLE_VERSION),
    madeAt: Instant,
    shop: Type.Object({ name: Words(80), address: Words(200), phone: Words(40) }, strict),
    archer: BundleArcher,
    jobs: Type.Array(BundleJob, { maxItems: 1000 }),
  },
  {
    ...strict,
    $id: 'urn:waffenrad:archer:1',
    title: 'Waffenrad archer, version 1',
    description: 'Everything a shop knows of one archer, to be given to them or to another shop.',
  },
);
export type ArcherBundle = Static<typeof ArcherBundleSchema>;

const check = checker(ArcherBundleSchema);

/** What was handed in as a bundle, or why it is none. */
export function readBundle(
  value: unknown,
):
  | { readonly ok: true; readonly bundle: ArcherBundle }
  | { readonly ok: false; readonly reason: string } {
  const { format, formatVersion } = (value ?? {}) as { format?: unknown; formatVersion?: unknown };
  if (format !== BUNDLE_FORMAT)
    return {
      ok: false,
      reason: 'This is no archer’s file of this program: its first line would say so.',
    };
  if (formatVersion !== BUNDLE_VERSION)
    return {
      ok: false,
      reason: `The file is of version ${String(formatVersion).slice(0, 12)}, this program reads version ${BUNDLE_VERSION}.`,
    };
  const checked = check(value);
  if (checked.ok) return { ok: true, bundle: checked.value };
  const { pointer, detail } = checked.errors[0]!;
  return { ok: false, reason: `The file is damaged: ${pointer} ${detail}.` };
}
