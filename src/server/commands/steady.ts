import { atSteady, quiverRow, type EntryRow } from '@/core/entries';
import { anglesText, type BarSet, type BarSide } from '@/core/balance';
import { BAR_SPOTS } from '@/core/bow';
import { derive, jobBalance, jobBarStock, type JobDerived } from '@/core/job';
import { mountOf, pieceOf, threadsOf, type BarsInStock } from '@/core/steady';
import { degree, mm } from '@/core/units';
import { allItems } from '@/data/stock';
import { keepTaken } from './entries';
import { bowFor, cannot, ofStage, type CommandOf, type Handlers, type Work } from './types';

type Wanted = NonNullable<CommandOf<'mountBars'>['front']>;
type Row = Pick<EntryRow, 'key' | 'si' | 'entered'> & Partial<EntryRow>;

/** What hangs on the bow, what it does, which bars stand in it. */
export const STEADY = ofStage('steady', {
  mountBars({ front, rear }, work) {
    const bow = bowFor(work);
    const derived = derive(work.snapshot);
    const stock = jobBarStock(work.snapshot, derived, allItems(work.db));
    const sets = {
      front: front && barSet('front', front, { work, derived, stock }),
      rear: rear && barSet('rear', rear, { work, derived, stock }),
    };
    const used = [sets.front, sets.rear].flatMap((set) => set?.discs ?? []);
    for (const { id, name } of used) {
      const count = used.reduce((sum, disc) => sum + (disc.id === id ? disc.count : 0), 0);
      const there = stock.discs.find((disc) => disc.id === id)?.count ?? 0;
      if (count > there)
        throw cannot(
          'too-few-discs',
          `There are ${there} of that ${name} for both sides; ${count} are asked for.`,
          '/command/rear/discs',
        );
    }
    const said = [
      sets.front ? barWords('front', sets.front) : 'no front bar',
      sets.rear ? barWords('rear', sets.rear) : 'no rear bar',
    ];
    const { quiver } = jobBalance(work.snapshot, derived, bow);
    const entry = atSteady(work.snapshot, `Bars: ${said.join('; ')}`, [
      ...rowsOf('front', sets.front),
      ...rowsOf('rear', sets.rear),
      ...quiverRow(work.snapshot, quiver, derived),
    ]);
    return keepTaken(entry, work);
  },
} satisfies Partial<Handlers>);

/** What is asked for, looked up: what it weighs is never the sender’s word. */
function barSet(
  side: BarSide,
  wanted: Wanted,
  { work, derived, stock }: { work: Work; derived: JobDerived; stock: BarsInStock },
): BarSet {
  const bow = bowFor(work);
  const mounted = jobBalance(work.snapshot, derived, bow).mounted?.[side] ?? null;
  const at = `/command/${side}`;
  const thread = threadsOf(bow).threads[wanted.thread];
  if (!thread) throw cannot('no-thread', 'This bow has no such thread.', `${at}/thread`);
  const bar =
    stock[side].find(({ id }) => id === wanted.barId) ??
    (mounted?.bar.id === wanted.barId ? mounted.bar : null);
  if (!bar)
    throw cannot(
      'no-such-bar',
      `There is no ${side} bar “${wanted.barId}” in stock or with the archer.`,
      `${at}/barId`,
    );
  const mount =
    wanted.mountId === null
      ? null
      : (stock.mounts.find(({ id }) => id === wanted.mountId) ??
        (mounted?.mount?.id === wanted.mountId ? mounted.mount : null));
  if (wanted.mountId !== null && !mount)
    throw cannot('no-such-mount', `There is no mount “${wanted.mountId}” here.`, `${at}/mountId`);
  const disc =
    wanted.discId === null || wanted.discs === 0
      ? null
      : (stock.discs.find(({ id }) => id === wanted.discId) ??
        (mounted?.discs?.id === wanted.discId ? mounted.discs : null));
  if (wanted.discId !== null && wanted.discs > 0 && !disc)
    throw cannot('no-such-disc', `There are no discs “${wanted.discId}” here.`, `${at}/discId`);
  if (wanted.discs > bar.mostDiscs)
    throw cannot(
      'too-many-discs',
      `${bar.name} takes at most ${bar.mostDiscs} discs.`,
      `${at}/discs`,
    );
  const angle = (value: number, most: number, field: string) => {
    if (value > most + 1e-9)
      throw cannot(
        'angle-too-large',
        most === 0
          ? 'Without a mount the bar stands straight in its thread.'
          : `This mount goes to ${most}° at most.`,
        `${at}/${field}`,
      );
    return degree(value);
  };
  return {
    spot: thread.spot,
    at: thread.at,
    bar: pieceOf(bar),
    mount: mount && mountOf(mount),
    downDeg: angle(wanted.downDeg, mount?.down.most ?? 0, 'downDeg'),
    sideDeg: angle(wanted.sideDeg, side === 'rear' ? (mount?.side.most ?? 0) : 0, 'sideDeg'),
    slideMm: mm(angle(wanted.slideMm, mount?.slide.most ?? 0, 'slideMm')),
    discs: disc ? { id: disc.id, name: disc.name, massG: disc.massG, count: wanted.discs } : null,
  };
}

const barWords = (side: BarSide, set: BarSet) =>
  [
    `${set.bar.name} ${side === 'front' ? 'in front' : 'at the back'}`,
    anglesText(set),
    set.discs && `${set.discs.count} ${set.discs.count === 1 ? 'disc' : 'discs'}`,
  ]
    .filter(Boolean)
    .join(', ');

/** A bar as its values: which, how it stands, how many discs. */
function rowsOf(side: BarSide, set: BarSet | null): Row[] {
  const name = set ? [set.bar.name, set.mount?.name ?? BAR_SPOTS[set.spot]].join(', ') : 'none';
  const bar: Row = {
    key: side === 'front' ? 'frontBar' : 'rearBar',
    si: null,
    choice: name,
    entered: name,
    data: { kind: 'bar', set },
  };
  const number = (key: Row['key'], si: number, entered: string): Row => ({ key, si, entered });
  const discs = set?.discs?.count ?? 0;
  const down = set?.downDeg ?? 0;
  if (side === 'front')
    return [
      bar,
      number('frontBarDown', down, `${down}°`),
      number('frontDiscs', discs, String(discs)),
    ];
  const out = set?.sideDeg ?? 0;
  const slide = set?.slideMm ?? 0;
  return [
    bar,
    number('rearBarSide', out, `${out}°`),
    number('rearBarDown', down, `${down}°`),
    ...(set && set.mount && set.mount.slide.most > 0
      ? [number('rearBarSlide', slide, `${slide} mm`)]
      : []),
    number('rearDiscs', discs, String(discs)),
  ];
}
