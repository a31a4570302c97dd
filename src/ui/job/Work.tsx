import type { ComponentProps } from 'react';
import { piece } from '../pieces/piece';
import { ClosedNote } from './ClosedNote';
import { NotDrawn } from './NotDrawn';
import { StageHint } from './StageHint';
import s from './Work.module.css';

const Main = piece('main', s.work);

/** What is being worked on, between the bow map and the margin. */
export const Work = ({ children, ...rest }: ComponentProps<typeof Main>) => (
  <Main {...rest}>
    <ClosedNote />
    <StageHint />
    <NotDrawn />
    {children}
  </Main>
);
