'use client';
import { bowName, moduleLabel, type BowRecord } from '@/core/bow';
import { shopModules } from '@/core/fit';
import { write, type Mm } from '@/core/units';
import { Text } from '../../pieces/Text';
import { WithFractions } from '../../fields/Figure';
import { useJob } from '../../job/JobProvider';
import { bow as b, fit as w } from '../../words';
import { Block, BlockTitle, Rows } from '../../pieces/layout';
import { Tag } from '../../pieces/texts';
import css from './ShopModules.module.css';

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
    <Block>
      <BlockTitle>{w.shopModules}</BlockTitle>
      <Rows className={css.moduleRows} data-part="module-rows">
        {shown.map(({ bow, module: { stepMm, remainderMm, twists } }) => (
          <li key={bow.id}>
            <span>
              {bowName(bow)}{' '}
              {bow.id === mine?.id ? (
                <Tag>{w.thisBow}</Tag>
              ) : (
                bow.id === nearest && <Tag kind="in">{w.wouldTake}</Tag>
              )}
            </span>
            <Text variant="figure" as="b">
              <WithFractions text={b.settingOf(say(stepMm), moduleLabel(bow, stepMm))} />
            </Text>
            <Text soft as="span">
              <WithFractions
                text={
                  Math.abs(remainderMm) < 0.8
                    ? w.noneLeft
                    : w.stepLeft(say(remainderMm, true), b.twists(twists))
                }
              />
            </Text>
          </li>
        ))}
      </Rows>
      {all.length > SHOWN && (
        <Text variant="small" soft as="p">
          {w.shopModulesMore(all.length - SHOWN)}
        </Text>
      )}
    </Block>
  );
}
