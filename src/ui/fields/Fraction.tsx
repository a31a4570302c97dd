import css from './fraction.module.css';

/** A true fraction, set from three pieces: the shipped subset of the face knows only ½ ¼ ¾. */
export const Fraction = ({
  numerator,
  denominator,
}: {
  numerator: number | string;
  denominator: number | string;
}) => (
  <span className={css.fraction} data-part="frac">
    <sup className={css.numerator}>{numerator}</sup>
    <span className={css.slash}>/</span>
    <sub className={css.denominator}>{denominator}</sub>
  </span>
);
