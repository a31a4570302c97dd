import Link from 'next/link';
import type { PersonRules } from '@/core/job';
import { useShell } from '../frame/useShell';
import { Block, Questions } from '../pieces/layout';
import { archerWords as w } from '../words';
import { plain, TypedField } from './TypedField';
import css from './PersonSettings.module.css';

/** Ages and times that hang on where the shop stands. */
export function PersonSettings({
  rules,
  change,
}: {
  rules: PersonRules;
  change: (rules: PersonRules) => void;
}) {
  const { may } = useShell();
  return (
    <Block data-part="persons">
      <h2>{w.rules}</h2>
      <Questions>
        <TypedField
          id="adult-from"
          label={w.adultFrom}
          hint={w.adultFromHint}
          value={String(rules.adultFromYears)}
          reads={(typed) => plain(typed, 14, 25, true)}
          onRead={(adultFromYears) => change({ ...rules, adultFromYears })}
        />
        <TypedField<number | null>
          id="keep-years"
          label={w.keepYears}
          hint={w.keepYearsHint}
          value={rules.keepYears === null ? '' : String(rules.keepYears)}
          reads={(typed) =>
            typed.trim() === '' ? { ok: true, value: null } : plain(typed, 1, 50, true)
          }
          onRead={(keepYears) => change({ ...rules, keepYears })}
        />
      </Questions>
      {may('erase') && (
        <p className={css.long}>
          <Link href="/archers" prefetch={false}>
            {w.long}
          </Link>
        </p>
      )}
    </Block>
  );
}
