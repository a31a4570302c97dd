/** A true fraction, set from three pieces: the shipped subset of the face knows only ½ ¼ ¾. */
export const Fraction = ({
  numerator,
  denominator,
}: {
  numerator: number | string;
  denominator: number | string;
}) => (
  <span className="frac">
    <sup>{numerator}</sup>
    <span className="bar">/</span>
    <sub>{denominator}</sub>
  </span>
);
