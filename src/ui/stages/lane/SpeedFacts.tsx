'use client';
import { jobSpeed } from '@/core/job';
import { J_PER_FOOT_POUND, N_PER_POUND, perWeight, write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import { speedWords as s } from '../../words';
import { Block, BlockTitle, Split } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import css from './SpeedFacts.module.css';

const FT_LB_PER_J = 1 / J_PER_FOOT_POUND;
/** A slug at a foot a second: a pound for a second. */
const SLUG_FT_S_PER_NS = 1 / N_PER_POUND;
const NEAR_LIMIT = 6;

/** Energy, momentum, grains per pound; this bow's own efficiency, and what it gives other arrows. */
export function SpeedFacts() {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const { figures, model, ratedEfficiency, others } = jobSpeed(derived);
  if (!figures) return null;
  const trade = units.speed === 'fps';
  const pct = (part: number) => `${(part * 100).toFixed(1)} %`;
  return (
    <Block as={Split} className={css.speedFacts} data-part="speed-facts">
      <section>
        <BlockTitle>{s.carries}</BlockTitle>
        <dl className={css.factsGrid}>
          <dt>{s.energy}</dt>
          <Text variant="figure" as="dd">
            {trade ? (
              <>
                {`${(figures.energyJ * FT_LB_PER_J).toFixed(1)} ft·lb`}{' '}
                <Text variant="small" soft>{`${figures.energyJ.toFixed(0)} J`}</Text>
              </>
            ) : (
              `${figures.energyJ.toFixed(1)} J`
            )}
          </Text>
          <dt>{s.momentum}</dt>
          <Text variant="figure" as="dd">
            {trade
              ? `${(figures.momentumNs * SLUG_FT_S_PER_NS).toFixed(2)} slug·ft/s`
              : `${figures.momentumNs.toFixed(2)} kg·m/s`}
          </Text>
          <dt>{s.grPerLb}</dt>
          <Text variant="figure" as="dd">
            {perWeight(figures.grainsPerPound, units)}
          </Text>
        </dl>
        {figures.grainsPerPound < NEAR_LIMIT && (
          <Note kind="stop">{s.light(perWeight(NEAR_LIMIT, units))}</Note>
        )}
      </section>
      {model && (
        <section>
          <BlockTitle>{s.model}</BlockTitle>
          {!model.ok ? (
            <Note>{model.message}</Note>
          ) : (
            <>
              <dl className={css.factsGrid}>
                <dt>{s.efficiency}</dt>
                <Text variant="figure" as="dd">
                  {pct(model.efficiency)}{' '}
                  {ratedEfficiency !== null && (
                    <Text variant="small" soft>
                      {s.rated(pct(ratedEfficiency))}
                    </Text>
                  )}
                </Text>
                <dt>{s.virtual}</dt>
                <Text variant="figure" as="dd">
                  {write(model.virtualMassG, 'mass', units)}{' '}
                  <Text variant="small" soft>
                    {model.fittedMass ? s.fittedVirtual : s.usualVirtual}
                  </Text>
                </Text>
              </dl>
              <h4>{s.others}</h4>
              <ul className={css.otherArrows}>
                {others.map((other) => (
                  <li key={other.arrowG}>
                    <Text variant="figure" soft>
                      {write(other.arrowG, 'mass', units)}
                    </Text>{' '}
                    <Text variant="figure" as="b">
                      {write(other.speedMps, 'speed', units)}
                    </Text>{' '}
                    <Text variant="small" soft>
                      {perWeight(other.grPerLb, units)}
                    </Text>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
      )}
    </Block>
  );
}
