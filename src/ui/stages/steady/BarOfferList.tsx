'use client';
import Button from '@mui/material/Button';
import { anglesText, type BarSet } from '@/core/balance';
import type { BarOffer, BarQuestion } from '@/core/steady';
import { writeMoney } from '@/core/units';
import { BarChart } from '../../charts/BarChart';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { Actions, Block } from '../../pieces/layout';
import { Text } from '../../pieces/Text';
import { Note } from '../../pieces/texts';
import { steady as w } from '../../words';
import { grams, lengthOf, torque } from './say';
import { useBarOffers } from './useBarOffers';
import type { Trial } from './useTrial';
import css from './BarOfferList.module.css';

/** Three honest ways from what is in stock, and everything between the lightest and the steadiest. */
export function BarOfferList({ question, trial }: { question: BarQuestion; trial: Trial }) {
  const said = useBarOffers(question);
  const { massLimitG } = useJob().snapshot.job.kitWishes;
  const shown = JSON.stringify(trial.bars);
  return (
    <Block data-part="offers">
      <h3>{w.barsTitle}</h3>
      {said === null && (
        <Text soft role="status">
          {w.choosing}
        </Text>
      )}
      {said?.say === 'refused' && <Note role="status">{said.message}</Note>}
      {said?.say === 'offers' && (
        <>
          <div className={css.offers}>
            {said.offers.offers.map((offer) => (
              <Offer
                key={offer.id}
                offer={offer}
                question={question}
                shown={JSON.stringify(offer.bars) === shown}
                onLook={() => trial.show(offer.bars)}
              />
            ))}
          </div>
          <Text variant="small" soft as="p">
            {w.counted(
              said.offers.combinations.toLocaleString('en'),
              grams(question.massLimitG),
              massLimitG !== null,
            )}{' '}
            {w.notInKit}
          </Text>
          {said.offers.frontier.length > 1 && (
            <div>
              <h4 className={css.chartTitle}>{w.frontier}</h4>
              <Text variant="small" soft as="p">
                {w.frontierHow}
              </Text>
              <BarChart
                frontier={said.offers.frontier}
                offers={said.offers.offers}
                onPick={(i) => trial.show(said.offers.frontier[i]!.bars)}
              />
              {/* The same by key, and for fingers larger than a point. */}
              <Actions>
                {said.offers.frontier.map(({ bars, massG }) => (
                  <Button
                    key={massG}
                    variant="outlined"
                    aria-pressed={JSON.stringify(bars) === shown}
                    onClick={() => trial.show(bars)}
                  >
                    {grams(massG)}
                  </Button>
                ))}
              </Actions>
            </div>
          )}
        </>
      )}
    </Block>
  );
}

const barWords = (set: BarSet | null, side: 'front' | 'rear') =>
  set
    ? [set.bar.name, anglesText(set), w.discs(set.discs?.count ?? 0)].filter(Boolean).join(', ')
    : w.noBar(side);

function Offer({
  offer,
  question,
  shown,
  onLook,
}: {
  offer: BarOffer;
  question: BarQuestion;
  shown: boolean;
  onLook: () => void;
}) {
  const { bars, massG, steadiness, priceCents, overNmm, turns } = offer;
  const sets = setsOf(offer, question);
  const units = useJob().snapshot.shop.units;
  const { neutral, lengthLimitMm } = question;
  const longestMm = Math.max(bars.front?.bar.lengthMm ?? 0, bars.rear?.bar.lengthMm ?? 0);
  return (
    <section className={css.offer} data-offer={offer.id}>
      <h4>{w.offers[offer.id]}</h4>
      <p>
        <Text variant="big" as="b">
          {w.times(steadiness)}
        </Text>{' '}
        <Text variant="figure">{grams(massG)}</Text>
      </p>
      <p>{barWords(bars.front, 'front')}</p>
      <p>{barWords(bars.rear, 'rear')}</p>
      <Text variant="small" soft as="p">
        {w.offerDoes(
          torque(offer.rollTorqueNmm - neutral.neutralRollNmm),
          torque(offer.pitchTorqueNmm - neutral.neutralPitchNmm),
        )}
        {longestMm > 0 && (
          <>
            {'; '}
            <WithFractions
              text={w.longest(
                lengthOf(longestMm, units),
                lengthLimitMm === null ? null : lengthOf(lengthLimitMm, units),
              )}
            />
          </>
        )}
      </Text>
      <p>
        <Text variant="figure">{writeMoney(priceCents)}</Text>{' '}
        <Text soft as="span">
          {overNmm > 0 ? w.over(overNmm) : w.quiet}
          {sets > 1 && ` · ${w.needsSets(sets)}`}
        </Text>
      </p>
      <ul>
        {turns.map((turn) => (
          <li key={turn}>{turn}</li>
        ))}
      </ul>
      <Button variant="outlined" disabled={shown} onClick={onLook}>
        {shown ? w.shown : w.look}
      </Button>
    </section>
  );
}

/** Sets of discs both bars take together: they are sold by the set, and the kit holds one. */
const setsOf = ({ bars }: BarOffer, { stock }: BarQuestion) =>
  stock.discs.reduce((sum, { id, perSet }) => {
    const count = [bars.front, bars.rear].reduce(
      (all, set) => all + (set?.discs?.id === id ? set.discs.count : 0),
      0,
    );
    return sum + Math.ceil(count / perSet);
  }, 0);
