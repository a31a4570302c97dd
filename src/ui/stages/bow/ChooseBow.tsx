'use client';
import { useState } from 'react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import { bowName, CAM_SYSTEMS, type BowOffer } from '@/core/bow';
import type { BowCover } from '@/core/fit';
import { archerCautions, jobBowCover, weightTrials, type JobBow } from '@/core/job';
import { write, writeMoney } from '@/core/units';
import { Text } from '../../pieces/Text';
import { TextField } from '../../fields/TextField';
import { dayText } from '../../fields/dates';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { bow as w, elsewhere as ownWords } from '../../words';
import { pages } from '../../words/pages';
import { ReasonPanel } from '../../job/ReasonPanel';
import { Work } from '../../job/Work';
import { Rows, Verdict } from '../../pieces/layout';
import { FieldError, Note, Tag } from '../../pieces/texts';
import { BowParts } from './BowParts';
import css from './ChooseBow.module.css';

const isLoan = ({ piece }: BowOffer) => piece?.condition === 'loan';

const ORDER = { fits: 0, nearly: 1, out: 2 };

/** The shop's bows, those that cover the fit first, the others with the reason they do not. */
export function ChooseBow({ offers }: { offers: readonly BowOffer[] }) {
  const { snapshot, derived } = useJob();
  const { href } = useStage();
  const trials = weightTrials(snapshot.fitReadings, snapshot.archer).length;
  const rows = offers
    .map((offer) => ({ offer, cover: jobBowCover(offer.bow, snapshot, derived) }))
    .sort(
      (a, b) =>
        ORDER[a.cover.verdict] - ORDER[b.cover.verdict] ||
        // What is only lent comes after what can be bought.
        Number(isLoan(a.offer)) - Number(isLoan(b.offer)) ||
        a.offer.bow.priceCents - b.offer.bow.priceCents,
    );
  const fitting = rows.filter(({ cover }) => cover.verdict === 'fits').length;
  const unknown = !derived.fitLength || trials === 0;
  return (
    <>
      <Work>
        <BowParts current="choose" />
        {offers.length === 0 ? (
          <Note>
            {w.noBows}{' '}
            <Link href="/shop/bows" prefetch={false}>
              {pages.bows}
            </Link>
          </Note>
        ) : (
          <Verdict>
            {w.countFit(fitting, offers.length)}
            {unknown && `. ${w.missingFit}`}
          </Verdict>
        )}
        <p>
          <Link href={href('bow', { part: 'own' })} prefetch={false}>
            {ownWords.bring}
          </Link>
        </p>
        <Rows className={css.bowRows}>
          {rows.map((row) => (
            <BowRow key={`${row.offer.bow.id} ${row.offer.piece?.serial ?? ''}`} {...row} />
          ))}
        </Rows>
      </Work>
      <Margin
        because={[w.because.cover]}
        watch={[{ id: 'manual', text: w.watch.manual }, ...archerCautions(snapshot)]}
      />
    </>
  );
}

function BowRow({ offer, cover }: { offer: BowOffer; cover: BowCover }) {
  const { snapshot, send } = useJob();
  const { go } = useStage();
  const router = useRouter();
  const [trouble, setTrouble] = useState('');
  const { verdict, reasons, notes, module } = cover;
  const { bow, piece } = offer;
  const units = snapshot.shop.units;
  const say = (mm: number) => write(mm, 'length', units);
  const pounds = (n: number) => write(n, 'force', units, { decimals: 0 });
  const held = snapshot.bow?.id === bow.id ? snapshot.bowHeld : null;
  const mine = piece ? held?.serial === piece.serial : (held?.condition ?? '') === 'new';
  const [asking, setAsking] = useState(false);
  const take = async (reason = '') => {
    const answer = await send({
      name: 'chooseBow',
      bowId: mine ? null : bow.id,
      ...(reason ? { reason } : {}),
      ...(mine ? {} : { serial: piece?.serial ?? null, fromStock: bow.stock > 0 }),
    });
    // What stands in the shop is looked at anew: somebody else may have taken the last one.
    router.refresh();
    if (!answer && !mine) go('bow', { part: 'module' });
    return answer;
  };
  const press = async () => {
    if (verdict === 'out' && !mine && !held) return setAsking(true);
    const answer = await take();
    setTrouble(answer?.message ?? '');
  };
  const words = mine
    ? w.putBack
    : verdict === 'out'
      ? w.takeAnyway
      : snapshot.bow
        ? w.takeOther
        : w.take;
  const facts = [
    CAM_SYSTEMS[bow.camSystem],
    `${say(bow.axleToAxleMm)} axle to axle`,
    w.range(pounds(bow.minPeakN), pounds(bow.maxPeakN)),
  ];
  return (
    <li data-verdict={verdict}>
      <div className={css.bowName}>
        <b>{bowName(bow)}</b>{' '}
        <Tag kind={verdict === 'fits' ? 'in' : verdict === 'nearly' ? 'warn' : 'plain'}>
          {w[verdict]}
        </Tag>{' '}
        {piece && (
          <Tag kind={piece.condition === 'loan' ? 'again' : 'plain'}>
            {w.condition[piece.condition]}
          </Tag>
        )}
      </div>
      <Text soft as="div">
        <WithFractions text={facts.join(' · ')} />
        <br />
        {piece && (
          <>
            {[w.serial(piece.serial), piece.note].filter(Boolean).join(' · ')}
            <br />
          </>
        )}
        {verdict !== 'out' && module && (
          <WithFractions text={`${w.setTo(say(module.stepMm))}, ${w.twists(module.twists)}. `} />
        )}
        <WithFractions text={[...reasons, ...(verdict === 'out' ? [] : notes)].join(', ')} />
        {trouble && <FieldError>{trouble}</FieldError>}
      </Text>
      <div className={css.bowPrice}>
        <Text variant="figure">{isLoan(offer) ? w.free : writeMoney(bow.priceCents)}</Text>
        <Text variant="small" soft>
          {standing(offer, mine ? held : null, snapshot.today)}
        </Text>
        {mine && offer.serials.length > 0 && <SerialChoice offer={offer} onTrouble={setTrouble} />}
      </div>
      {bow.hand === snapshot.archer.hand && offer.heldBy === null ? (
        <Button
          variant={verdict === 'fits' && !snapshot.bow && !isLoan(offer) ? 'contained' : 'outlined'}
          aria-label={`${words}: ${bowName(bow)}${piece ? `, ${w.condition[piece.condition]} ${piece.serial}` : ''}`}
          onClick={() => void press()}
        >
          {words}
        </Button>
      ) : (
        <span />
      )}
      {asking && (
        <ReasonPanel
          title={w.takeAnywayTitle(bowName(bow))}
          text={`${reasons.join(', ')}.`}
          action={w.takeAnyway}
          onReason={take}
          onClose={() => setAsking(false)}
        />
      )}
    </li>
  );
}

/** Whether it is there: put aside for this job, on its way, free, or with somebody else. */
function standing({ bow, piece, heldBy }: BowOffer, held: JobBow | null, today: string): string {
  if (held) {
    if (held.handedOver) return w.handedOver;
    if (held.arrivedAt) return w.hasCome;
    if (held.arrivesDay) {
      const day = dayText(held.arrivesDay, today);
      return held.orderedAt ? w.ordered(day) : w.toOrder(day);
    }
    return piece?.condition === 'loan' ? w.lent : w.putAside;
  }
  if (heldBy !== null) return w.heldBy(heldBy);
  if (piece) return piece.condition === 'loan' ? w.toLend : w.single;
  return bow.stock > 0 ? w.inStock(bow.stock) : w.days(bow.deliveryDays);
}

/** Which of the new ones it is, where the shop wrote their numbers down. */
function SerialChoice({
  offer: { bow, serials },
  onTrouble,
}: {
  offer: BowOffer;
  onTrouble: (trouble: string) => void;
}) {
  const { snapshot, send } = useJob();
  const now = snapshot.bowHeld?.serial ?? '';
  const choose = async (serial: string) => {
    const answer = await send({ name: 'chooseBow', bowId: bow.id, serial: serial || null });
    onTrouble(answer?.message ?? '');
  };
  return (
    <TextField
      select
      id={`serial-${bow.id}`}
      label={w.which}
      value={serials.includes(now) ? now : ''}
      onChange={(event) => void choose(event.target.value)}
    >
      <option value="">{w.anyOfThem}</option>
      {serials.map((serial) => (
        <option key={serial} value={serial}>
          {serial}
        </option>
      ))}
    </TextField>
  );
}
