'use client';
import Link from 'next/link';
import { frame } from '../words';
import { WaitingTag } from './WaitingTag';
import topCss from './Top.module.css';

/** A cam with its axle and a bow's limb: our own mark. */
const Mark = ({ size = 34 }: { size?: number }) => (
  <svg width={size} height={size} viewBox="0 0 34 34" fill="none" stroke="currentColor" aria-hidden>
    <circle cx="17" cy="17" r="14.8" strokeWidth="2.6" />
    <path d="M21 3.5c-8.4 8-8.4 19 0 27" strokeWidth="2.6" />
    <path d="M7.5 17h19.5" strokeWidth="1.8" />
    <circle cx="11.6" cy="17" r="2.5" fill="currentColor" stroke="none" />
  </svg>
);

export function Brand() {
  return (
    <>
      <Link
        href="/"
        prefetch={false}
        className={topCss.brand}
        data-part="brand"
        aria-label={frame.home}
      >
        <Mark />
        <span>{frame.brand}</span>
      </Link>
      <WaitingTag />
    </>
  );
}
