'use client';
import Link from 'next/link';
import type { AnyPart, CatalogueItem } from '@/core/kit';
import { isSlot, missingSlots } from '@/core/kit';
import { jobTotal, type JobTotal } from '@/core/quote';
import { archerCautions } from '@/core/job';
import { perWeight, writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { dayText } from '../../fields/dates';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { kit as w, kitPackages as packageWords, quoteWords } from '../../words';
import { Work } from '../../job/Work';
import { Head, HeadEnd } from '../../pieces/layout';
import { Note, Tag } from '../../pieces/texts';
import { ArrowPart } from './ArrowPart';
import { BudgetTape } from './BudgetTape';
import { Packages } from './Packages';
import { QuotePart } from './QuotePart';
import { SlotItems } from './SlotItems';
import { SlotList } from './SlotList';
import css from './KitStage.module.css';

/** The package: every place filled from the catalogue or by what the archer brings along. */
export function KitStage({
  items,
  components,
}: {
  items: readonly CatalogueItem[];
  /** What arrows are built from. */
  components: readonly AnyPart[];
}) {
  const part = useStage().at('part');
  if (part === 'packages') return <Packages items={items} />;
  if (part === 'arrow') return <ArrowPart components={components} />;
  return part === 'quote' ? <QuotePart /> : <PartByPart items={items} />;
}

function PartByPart({ items }: { items: readonly CatalogueItem[] }) {
  const { snapshot, derived } = useJob();
  const { at, href } = useStage();
  const asked = at('slot');
  const slot = isSlot(asked) ? asked : (missingSlots(derived.kit)[0] ?? 'rest');
  const whole = jobTotal(snapshot, derived);
  const total = whole.totalCents;
  return (
    <>
      <Work>
        <Head>
          <h2>{w.title}</h2>
          <Text variant="big">{writeMoney(total)}</Text>
          <BudgetWords total={total} />
          <HeadEnd>
            <Link href={href('kit', { part: 'packages' })} prefetch={false}>
              {packageWords.open}
            </Link>
          </HeadEnd>
          <Link href={href('kit', { part: 'quote' })} prefetch={false}>
            {quoteWords.open}
          </Link>
        </Head>
        <BudgetTape total={total} budget={snapshot.job.budgetCents} />
        <MadeOf total={whole} />
        {snapshot.job.alreadyOwn.trim() !== '' && (
          <Note className={css.brought}>
            <b>{w.broughtSaid}</b> {snapshot.job.alreadyOwn.trim()}
          </Note>
        )}
        {!snapshot.bow && <Note>{w.noBow}</Note>}
        <div className={css.kitGrid}>
          <SlotList current={slot} />
          <SlotItems key={slot} slot={slot} items={items.filter((item) => item.slot === slot)} />
        </div>
      </Work>
      <Margin
        first={<Together />}
        because={[w.because.first, w.because.own, w.because.mount]}
        watch={[
          ...derived.findings
            .filter((finding) => finding.verdict === 'doesNotFit')
            .map(({ rule, reason }) => ({
              id: rule.id,
              text: `${rule.name}: ${reason}`,
              stop: rule.hard,
            })),
          ...(derived.kit.release ? [] : [{ id: 'release', text: w.watch.release }]),
          { id: 'light', text: w.watch.light(perWeight(5, snapshot.shop.units)) },
          ...archerCautions(snapshot).filter(({ id }) => id === 'legal'),
        ]}
      />
    </>
  );
}

/** The one total taken apart. */
function MadeOf({ total }: { total: JobTotal }) {
  const { bowCents, partsCents, workCents, workMinutes, taxPct, taxCents } = total;
  return (
    <Text variant="small" soft as="p" className={css.madeOf} data-part="made-of">
      {w.madeOf(
        writeMoney(bowCents),
        writeMoney(partsCents),
        workMinutes > 0 ? w.madeOfWork(writeMoney(workCents), workMinutes) : null,
        w.madeOfTax(taxPct, writeMoney(taxCents)),
      )}
    </Text>
  );
}

function BudgetWords({ total }: { total: number }) {
  const budget = useJob().snapshot.job.budgetCents;
  if (budget === null) return <Text variant="aside">{w.noBudget}</Text>;
  const left = budget - total;
  return left >= 0 ? (
    <Text variant="aside">{w.left(writeMoney(left))}</Text>
  ) : (
    <Tag kind="out">{w.over(writeMoney(-left))}</Tag>
  );
}

/** What the rules could not tell, and how many had nothing against it. */
function Together() {
  const { derived, snapshot } = useJob();
  const unsure = derived.findings.filter((finding) => finding.verdict === 'cannotTell');
  const all = derived.findings.length;
  const fine = derived.findings.filter((finding) => finding.verdict === 'fits').length;
  const against = all - fine - unsure.length;
  const waiting = snapshot.parts.filter(
    (part) => part.arrivesDay && part.arrivesDay > snapshot.today,
  );
  return (
    <section>
      <h2>{w.together}</h2>
      <ul>
        {derived.findings.length === 0 && (
          <Text soft as="li">
            {w.nothingYet}
          </Text>
        )}
        {all > 0 && (
          <li>{fine === all ? w.allFit(all) : w.someFit(fine, all, against, unsure.length)}</li>
        )}
        {unsure.map(({ rule, reason }) => (
          <li key={rule.id}>
            <b>{rule.name}</b>: {reason}.
          </li>
        ))}
        {waiting.map((part) => (
          <li key={part.slot}>{w.late(part.label, dayText(part.arrivesDay!, snapshot.today))}</li>
        ))}
      </ul>
    </section>
  );
}
