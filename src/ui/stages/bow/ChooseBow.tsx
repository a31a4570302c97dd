'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { bowName, CAM_SYSTEMS, type BowRecord } from '@/core/bow';
import type { BowCover } from '@/core/fit';
import { archerCautions, jobBowCover, weightTrials } from '@/core/job';
import { write, writeMoney } from '@/core/units';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { useStage } from '../../job/useStage';
import { bow as w } from '../../words';
import { ReasonPanel } from '../../job/ReasonPanel';
import { BowParts } from './BowParts';

const ORDER = { fits: 0, nearly: 1, out: 2 };

/** The shop's bows, those that cover the fit first, the others with the reason they do not. */
export function ChooseBow({ bows }: { bows: readonly BowRecord[] }) {
  const { snapshot, derived } = useJob();
  const trials = weightTrials(snapshot.fitReadings).length;
  const covers = bows
    .map((bow) => jobBowCover(bow, snapshot, derived))
    .sort((a, b) => ORDER[a.verdict] - ORDER[b.verdict] || a.bow.priceCents - b.bow.priceCents);
  const fitting = covers.filter((cover) => cover.verdict === 'fits').length;
  const unknown = !derived.fitLength || trials === 0;
  return (
    <>
      <main className="work">
        <BowParts current="choose" />
        <p className="verdict">
          {w.countFit(fitting, bows.length)}
          {unknown && `. ${w.missingFit}`}
        </p>
        <ul className="rows bow-rows">
          {covers.map((cover) => (
            <BowRow key={cover.bow.id} cover={cover} />
          ))}
        </ul>
      </main>
      <Margin
        because={[w.because.cover]}
        watch={[{ id: 'manual', text: w.watch.manual }, ...archerCautions(snapshot)]}
      />
    </>
  );
}

function BowRow({ cover }: { cover: BowCover }) {
  const { snapshot, send } = useJob();
  const { go } = useStage();
  const [trouble, setTrouble] = useState('');
  const { bow, verdict, reasons, notes, module } = cover;
  const units = snapshot.shop.units;
  const say = (mm: number) => write(mm, 'length', units);
  const pounds = (n: number) => write(n, 'force', units, { decimals: 0 });
  const mine = snapshot.bow?.id === bow.id;
  const [asking, setAsking] = useState(false);
  const take = async (reason = '') => {
    const bowId = mine ? null : bow.id;
    const answer = await send({ name: 'chooseBow', bowId, ...(reason ? { reason } : {}) });
    if (!answer && !mine) go('bow', { part: 'module' });
    return answer;
  };
  const press = async () => {
    if (verdict === 'out' && !mine) return setAsking(true);
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
      <div className="bow-name">
        <b>{bowName(bow)}</b>{' '}
        <span
          className="tag"
          data-kind={verdict === 'fits' ? 'in' : verdict === 'nearly' ? 'warn' : 'plain'}
        >
          {w[verdict]}
        </span>
      </div>
      <div className="soft">
        <WithFractions text={facts.join(' · ')} />
        <br />
        {verdict !== 'out' && module && (
          <WithFractions text={`${w.setTo(say(module.stepMm))}, ${w.twists(module.twists)}. `} />
        )}
        <WithFractions text={[...reasons, ...(verdict === 'out' ? [] : notes)].join(', ')} />
        {trouble && <span className="field-error">{trouble}</span>}
      </div>
      <div className="bow-price">
        <span className="figure">{writeMoney(bow.priceCents)}</span>
        <span className="small soft">
          {bow.stock > 0 ? w.inStock(bow.stock) : w.days(bow.deliveryDays)}
        </span>
      </div>
      {bow.hand === snapshot.archer.hand ? (
        <Button
          variant={verdict === 'fits' && !snapshot.bow ? 'contained' : 'outlined'}
          aria-label={`${words}: ${bowName(bow)}`}
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
