'use client';
import { jobMarks } from '@/core/job';
import { write } from '@/core/units';
import { Text } from '../../pieces/Text';
import { useJob } from '../../job/JobProvider';
import { marksWords as m } from '../../words';
import { Discard } from '../../job/Discard';
import { BlockTitle, Rows } from '../../pieces/layout';
import { Note } from '../../pieces/texts';
import css from './ConfirmedList.module.css';

/** Three marks that scatter more than this do not agree, mm at the pin. Shop rule. */
const APART_MM = 1;

/** Confirmed distances with what each is off the fit; one that does not fit the others is named. */
export function ConfirmedList() {
  const { snapshot, derived } = useJob();
  const units = snapshot.shop.units;
  const { shots, fit } = jobMarks(derived, []);
  const say = (distanceM: number) => write(distanceM, 'distance', units, { decimals: 0 });
  const odd = fit?.ok ? fit.odd : null;
  return (
    <section>
      <BlockTitle>{m.confirmed}</BlockTitle>
      {shots.length === 0 && <Text soft>{m.noneConfirmed}</Text>}
      <Rows className={css.confirmedRows} data-part="confirmed-rows">
        {shots.map((shot, i) => (
          <li key={shot.seq} data-out={odd === i ? 'yes' : 'no'}>
            <Text variant="figure" as="b">
              {say(shot.distanceM)}
            </Text>
            <span className={css.markPlace}>
              {i === 0 ? m.reference : m.at(shot.dropMm.toFixed(1))}
            </span>
            <Text variant="small" soft>
              {shot.scaleM !== null && `${m.scaleRead(say(shot.scaleM))} `}
              {fit?.ok && fit.sigmaMarkMm !== null && m.residual(signed(fit.residualsMm[i]!))}
            </Text>
            <Discard seq={shot.seq} />
          </li>
        ))}
      </Rows>
      {fit && !fit.ok && <Note>{fit.message}</Note>}
      {fit?.ok && shots.length === 3 && (fit.sigmaMarkMm ?? 0) > APART_MM && (
        <Note role="alert">{m.cannotTell}</Note>
      )}
      {odd !== null && fit?.ok && (
        <Note role="alert">{m.odd(say(shots[odd]!.distanceM), signed(fit.residualsMm[odd]!))}</Note>
      )}
    </section>
  );
}

/** With its sign; what rounds to nothing has none. */
const signed = (mm: number) => {
  const tenths = Math.round(mm * 10) / 10;
  return tenths === 0 ? '0.0' : `${tenths > 0 ? '+' : '−'}${Math.abs(tenths).toFixed(1)}`;
};
