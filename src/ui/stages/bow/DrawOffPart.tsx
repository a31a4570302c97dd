'use client';
import { useState } from 'react';
import Button from '@mui/material/Button';
import {
  bowName,
  DRAW_OFF_ASPECTS,
  DRAW_OFF_LEAST,
  DRAW_OFF_MOST,
  drawnNow,
  OWN_BOW_ID,
  rankDrawOff,
  type BowRecord,
  type DrawOff,
  type DrawOffRanking,
} from '@/core/bow';
import type { BowCover } from '@/core/fit';
import { drawnBows, drawOffSetup, jobBowCover, oldBowFigures, type DrawnBow } from '@/core/job';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { Press } from '../../pieces/Press';
import { Choice } from '../../fields/Choice';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Margin } from '../../job/Margin';
import { bow as b, drawOff as w } from '../../words';
import { Work } from '../../job/Work';
import { Actions, Block, BlockTitle, Rows, Split, Verdict } from '../../pieces/layout';
import { FieldError, Note, Tag } from '../../pieces/texts';
import { BowParts } from './BowParts';
import { PairMarks } from './PairMarks';
import css from './DrawOffPart.module.css';

const ORDER = { fits: 0, nearly: 1, out: 2 };

/** Two to five bows set alike, drawn in the archer's own order, marked by pairs, ranked. */
export function DrawOffPart({ bows }: { bows: readonly BowRecord[] }) {
  const { snapshot } = useJob();
  const { drawOff } = snapshot.job;
  const [choosing, setChoosing] = useState(false);
  const old = oldBowFigures(snapshot.fitReadings);
  const drawn = drawOff && drawnBows(drawOff.bowIds, bows, old);
  return (
    <>
      <Work>
        <BowParts current="drawOff" />
        {drawOff && drawn && !choosing ? (
          <Running drawOff={drawOff} list={drawn} onChange={() => setChoosing(true)} />
        ) : (
          <ChooseBows bows={bows} onStarted={() => setChoosing(false)} />
        )}
      </Work>
      <Margin
        because={[w.because.order, w.because.ranking, w.because.speed]}
        watch={[
          { id: 'safe', text: w.watch.safe, stop: true },
          { id: 'alike', text: w.watch.alike },
          { id: 'rest', text: w.watch.rest },
        ]}
      />
    </>
  );
}

/** Which bows are drawn; those that cover the fit stand first. */
function ChooseBows({ bows, onStarted }: { bows: readonly BowRecord[]; onStarted: () => void }) {
  const { snapshot, derived, send } = useJob();
  const covers = bows
    .filter((bow) => bow.hand === snapshot.archer.hand)
    .map((bow) => jobBowCover(bow, snapshot, derived))
    .sort((x, y) => ORDER[x.verdict] - ORDER[y.verdict] || x.bow.priceCents - y.bow.priceCents);
  const [ids, setIds] = useState<readonly string[]>(
    () => snapshot.job.drawOff?.bowIds ?? preselected(covers, snapshot.bow?.id ?? null),
  );
  const [trouble, setTrouble] = useState('');
  const toggle = (id: string) =>
    setIds((now) => (now.includes(id) ? now.filter((other) => other !== id) : [...now, id]));
  const start = async () => {
    if (ids.length < DRAW_OFF_LEAST || ids.length > DRAW_OFF_MOST) return setTrouble(w.howMany);
    const answer = await send({ name: 'startDrawOff', bowIds: [...ids] });
    setTrouble(answer?.message ?? '');
    if (!answer) onStarted();
  };
  return (
    <>
      <Verdict>{w.choose}</Verdict>
      <Rows className={css.pickRows} data-part="pick-rows" aria-label={w.choose}>
        {covers.map(({ bow, verdict, reasons }) => (
          <li key={bow.id}>
            <Press
              type="button"
              className={css.pick}
              data-part="pick"
              aria-pressed={ids.includes(bow.id)}
              onClick={() => toggle(bow.id)}
            >
              <span className={css.pickBox} aria-hidden />
              <b>{bowName(bow)}</b>
              <Tag kind={verdict === 'fits' ? 'in' : verdict === 'nearly' ? 'warn' : 'plain'}>
                {b[verdict]}
              </Tag>
              <Text soft as="span">
                <WithFractions text={reasons.join(', ')} />
              </Text>
            </Press>
          </li>
        ))}
        <li>
          <Press
            type="button"
            className={css.pick}
            data-part="pick"
            aria-pressed={ids.includes(OWN_BOW_ID)}
            onClick={() => toggle(OWN_BOW_ID)}
          >
            <span className={css.pickBox} aria-hidden />
            <b>{w.own}</b>
            <span />
            <Text soft as="span">
              {w.ownHow}
            </Text>
          </Press>
        </li>
      </Rows>
      <Actions>
        <Button variant="contained" onClick={() => void start()}>
          {w.start(ids.length)}
        </Button>
        {trouble && <FieldError role="alert">{trouble}</FieldError>}
      </Actions>
    </>
  );
}

/** The bow chosen already, then what covers the fit: three to begin with. */
function preselected(covers: readonly BowCover[], own: string | null): string[] {
  const fitting = covers.filter(({ verdict }) => verdict !== 'out').map(({ bow }) => bow.id);
  const first = own === null ? [] : [own];
  return [...new Set([...first, ...fitting])].slice(0, 3);
}

function Running({
  drawOff,
  list,
  onChange,
}: {
  drawOff: DrawOff;
  /** In the order they are drawn. */
  list: readonly DrawnBow[];
  onChange: () => void;
}) {
  const { derived, send } = useJob();
  const speeds = Object.fromEntries(
    list.flatMap(({ id, bow }) => {
      const speed = bow && drawOffSetup(bow, derived).speedMps;
      return speed === null ? [] : [[id, speed]];
    }),
  );
  const now = drawnNow(drawOff);
  const ranking = rankDrawOff(now, speeds);
  if (!ranking.ok) return <Note>{ranking.message}</Note>;
  return (
    <>
      <Rows as="ol" className={css.lineUp} data-part="line-up" aria-label={w.lineUp}>
        {list.map((drawn, i) => (
          <LineUpRow key={drawn.id} drawn={drawn} at={i} />
        ))}
      </Rows>
      <Block as={Split}>
        <PairMarks drawOff={drawOff} bows={list} />
        <section>
          <BlockTitle>{w.ranking}</BlockTitle>
          <Ranking ranking={ranking} list={list} marks={now.marks.length} />
          <Choice
            label={w.speed}
            value={drawOff.speedCounts ? 'yes' : 'no'}
            options={w.speeds}
            onChange={(value) => void send({ name: 'setDrawOff', speedCounts: value === 'yes' })}
          />
          <Actions>
            <Button variant="outlined" onClick={onChange}>
              {w.change}
            </Button>
            <Button variant="text" onClick={() => void send({ name: 'endDrawOff' })}>
              {w.putAway}
            </Button>
          </Actions>
        </section>
      </Block>
    </>
  );
}

/** How a bow stands in the line: how it is set, how long it is, how much it lets off. */
function LineUpRow({ drawn, at }: { drawn: DrawnBow; at: number }) {
  const { snapshot } = useJob();
  const units = snapshot.shop.units;
  const { name, bow, axleToAxleMm, letOff } = drawn;
  const facts = [
    axleToAxleMm === null ? w.axleUnknown : b.atoA(axleToAxleMm, units),
    letOff === null ? w.letOffUnknown : w.letOff(Math.round(100 * letOff)),
  ];
  return (
    <li>
      <span className={css.lineNumber}>{at + 1}</span>
      <b>{name}</b>
      <Text soft as="span">
        {bow ? <HowSet bow={bow} /> : <OwnSet />} <WithFractions text={`${facts.join(', ')}.`} />
      </Text>
    </li>
  );
}

/** Position of the module, turns as it comes and as wanted. */
function HowSet({ bow }: { bow: BowRecord }) {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const { stepMm, label, topLabel, turns, predictedN, sigmaN, targetN } = drawOffSetup(
    bow,
    derived,
  );
  const force = (n: number) => write(n, 'force', units, { decimals: 0 });
  const module =
    stepMm === null
      ? w.noLength
      : w.module(write(stepMm, 'length', units), label, topLabel, bow.moduleCams.length);
  const weight =
    targetN === null
      ? w.noWeight
      : turns === null || predictedN === null || sigmaN === null
        ? w.weighOnly(force(targetN))
        : w.bolts(
            write(turns, 'turns', units),
            bow.stockTurns === null ? null : write(bow.stockTurns, 'turns', units),
            `${force(predictedN)} ± ${force(sigmaN)}`,
          );
  return <WithFractions text={`${module} ${weight}`} />;
}

/** Their own is drawn as they shoot it. */
function OwnSet() {
  const { snapshot } = useJob();
  const { oldPeak } = oldBowFigures(snapshot.fitReadings);
  const units = snapshot.shop.units;
  return <>{w.asShot(oldPeak === undefined ? null : write(oldPeak, 'force', units))}</>;
}

function Ranking({
  ranking,
  list,
  marks,
}: {
  ranking: DrawOffRanking;
  list: readonly DrawnBow[];
  marks: number;
}) {
  if (marks === 0) return <Text soft>{w.nothingMarked}</Text>;
  const nameOf = (bowId: string) => list.find(({ id }) => id === bowId)!.name;
  const first = nameOf(ranking.places[0]!.bowId);
  return (
    <>
      <Verdict>
        <b>
          {ranking.sure === 'open'
            ? w.open(ranking.openPairs.length > 0)
            : w.sure[ranking.sure](first, Math.round(100 * ranking.places[0]!.chanceBest))}
        </b>
      </Verdict>
      <Rows as="ol" className={css.rankRows} data-part="rank-rows">
        {ranking.places.map(({ bowId, chanceBest, liked, of }) => (
          <li key={bowId}>
            <span>{nameOf(bowId)}</span>
            <Text variant="figure">{Math.round(100 * chanceBest)} %</Text>
            <span className={css.rankBar} aria-hidden>
              <span style={{ width: `${Math.round(100 * chanceBest)}%` }} />
            </span>
            <Text variant="small" soft>
              {w.liked(liked, of)}
            </Text>
          </li>
        ))}
      </Rows>
      <Text variant="small" soft as="p">
        {w.left(ranking.openPairs.length, DRAW_OFF_ASPECTS.length)}
      </Text>
    </>
  );
}
