'use client';
import { jobSpeed } from '@/core/job';
import { J_PER_FOOT_POUND, N_PER_POUND, perWeight, write } from '@/core/units';
import { useJob } from '../../job/JobProvider';
import { speedWords as s } from '../../words';

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
    <div className="split block speed-facts">
      <section>
        <h3 className="block-title">{s.carries}</h3>
        <dl className="facts">
          <dt>{s.energy}</dt>
          <dd className="figure">
            {trade ? (
              <>
                {`${(figures.energyJ * FT_LB_PER_J).toFixed(1)} ft·lb`}{' '}
                <span className="soft small">{`${figures.energyJ.toFixed(0)} J`}</span>
              </>
            ) : (
              `${figures.energyJ.toFixed(1)} J`
            )}
          </dd>
          <dt>{s.momentum}</dt>
          <dd className="figure">
            {trade
              ? `${(figures.momentumNs * SLUG_FT_S_PER_NS).toFixed(2)} slug·ft/s`
              : `${figures.momentumNs.toFixed(2)} kg·m/s`}
          </dd>
          <dt>{s.grPerLb}</dt>
          <dd className="figure">{perWeight(figures.grainsPerPound, units)}</dd>
        </dl>
        {figures.grainsPerPound < NEAR_LIMIT && (
          <p className="note" data-kind="stop">
            {s.light(perWeight(NEAR_LIMIT, units))}
          </p>
        )}
      </section>
      {model && (
        <section>
          <h3 className="block-title">{s.model}</h3>
          {!model.ok ? (
            <p className="note">{model.message}</p>
          ) : (
            <>
              <dl className="facts">
                <dt>{s.efficiency}</dt>
                <dd className="figure">
                  {pct(model.efficiency)}{' '}
                  {ratedEfficiency !== null && (
                    <span className="soft small">{s.rated(pct(ratedEfficiency))}</span>
                  )}
                </dd>
                <dt>{s.virtual}</dt>
                <dd className="figure">
                  {write(model.virtualMassG, 'mass', units)}{' '}
                  <span className="soft small">
                    {model.fittedMass ? s.fittedVirtual : s.usualVirtual}
                  </span>
                </dd>
              </dl>
              <h4>{s.others}</h4>
              <ul className="other-arrows">
                {others.map((other) => (
                  <li key={other.arrowG}>
                    <span className="figure soft">{write(other.arrowG, 'mass', units)}</span>{' '}
                    <b className="figure">{write(other.speedMps, 'speed', units)}</b>{' '}
                    <span className="small soft">{perWeight(other.grPerLb, units)}</span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
      )}
    </div>
  );
}
