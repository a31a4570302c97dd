/** A photograph: it was made small when it was taken, nothing is to be made of it on the way. */
export const Picture = ({
  src,
  width,
  height,
  alt,
}: {
  src: string;
  width: number;
  height: number;
  alt: string;
}) => (
  // eslint-disable-next-line @next/next/no-img-element -- kept in the sizes it is shown in
  <img src={src} width={width} height={height} alt={alt} />
);
