'use client';
import { bowName, moduleLabel, type BowRecord } from '@/core/bow';
import { shopModules } from '@/core/fit';
import { write, type Mm } from '@/core/units';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { bow as b, fit as w } from '../../words';

const SHOWN = 4;

/** The step every bow of this hand would be set to, and what is left over for twists. */
export function ShopModules({ bows, target }: { bows: readonly BowRecord[]; target: Mm }) {
  const { snapshot } = useJob();
  const { shop, archer, bow: mine } = snapshot;
  const all = shopModules(bows, target, archer.hand);
  const nearest = all[0]?.bow.id;
  const shown = [
    ...all.filter(({ bow }) => bow.id === mine?.id),
    ...all.filter(({ bow }) => bow.id !== mine?.id),
  ].slice(0, SHOWN);
  const say = (mm: number, signed = false) => write(mm, 'length', shop.units, { signed });
  return (
    <section className="block">
      <h3 className="block-title">{w.shopModules}</h3>
      <ul className="rows module-rows">
        {shown.map(({ bow, module: { stepMm, remainderMm, twists } }) => (
          <li key={bow.id}>
            <span>
              {bowName(bow)}{' '}
              {bow.id === mine?.id ? (
                <span className="tag">{w.thisBow}</span>
              ) : (
                bow.id === nearest && (
                  <span className="tag" data-kind="in">
                    {w.wouldTake}
                  </span>
                )
              )}
            </span>
            <b className="figure">
              <WithFractions text={b.settingOf(say(stepMm), moduleLabel(bow, stepMm))} />
            </b>
            <span className="soft">
              <WithFractions
                text={
                  Math.abs(remainderMm) < 0.8
                    ? w.noneLeft
                    : w.stepLeft(say(remainderMm, true), b.twists(twists))
                }
              />
            </span>
          </li>
        ))}
      </ul>
      {all.length > SHOWN && <p className="small soft">{w.shopModulesMore(all.length - SHOWN)}</p>}
    </section>
  );
}
