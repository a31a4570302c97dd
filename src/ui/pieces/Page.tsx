import { piece } from './piece';
import s from './Page.module.css';

const Main = piece('main', s.shop);

/** A page of the shop: as wide as text reads well, wide for tables, or all there is. */
export const Page = ({
  width,
  ...rest
}: { width?: 'wide' | 'all' } & Parameters<typeof Main>[0]) => (
  <Main data-width={width} {...rest} />
);
