/** Text inside an SVG with "3/8" set as a true fraction. */
export const SvgText = ({ text }: { text: string }) =>
  text.split(/(\d+\/\d+)/).map((part, i) => {
    if (i % 2 === 0) return part;
    const [numerator, denominator] = part.split('/');
    return (
      <tspan key={i}>
        <tspan dx="-0.3em" dy="-0.34em" fontSize="0.66em">
          {numerator}
        </tspan>
        <tspan dy="0.34em" dx="-0.12em">
          /
        </tspan>
        <tspan dx="-0.12em" dy="0.12em" fontSize="0.66em">
          {denominator}
        </tspan>
        {/* Back to the line for what follows. */}
        <tspan dy="-0.12em">{'\u200b'}</tspan>
      </tspan>
    );
  });
