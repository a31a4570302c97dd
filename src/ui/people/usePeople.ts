'use client';
import { useState } from 'react';
import type { Person, Program, Tablet } from '@/core/people';
import { useAsk } from '../frame/useAsk';
import { post } from '../keep/post';

export interface Managed {
  readonly people: readonly Person[];
  readonly tablets: readonly Tablet[];
  readonly programs: readonly Program[];
}

export interface Fault {
  readonly pointer: string;
  readonly message: string;
}

/** People, tablets and programs as last saved; `send` saves one change and tells why it was not taken. */
export function useManaged(initial: Managed) {
  const [managed, setManaged] = useState(initial);
  const send = async <T extends Managed>(
    path: string,
    body: unknown,
    method = 'POST',
  ): Promise<{ readonly fault: Fault } | { readonly saved: T }> => {
    const answer = await post<T>(path, body, method);
    if (!answer.ok) return { fault: answer };
    setManaged(answer.body);
    return { saved: answer.body };
  };
  return { managed, send };
}

/** Sends something away once that was asked; why it was not taken, where it was not. */
export function useDismiss(send: SendManaged) {
  const [trouble, setTrouble] = useState('');
  const { ask, asking } = useAsk();
  const dismiss = async (path: string, title: string, text: string, name: string) => {
    if ((await ask({ title, text, answers: [{ id: 'away', name }] })) !== 'away') return;
    const answer = await send(path, {}, 'DELETE');
    setTrouble('fault' in answer ? answer.fault.message : '');
  };
  return { dismiss, asking, trouble, setTrouble };
}

export type SendManaged = ReturnType<typeof useManaged>['send'];
