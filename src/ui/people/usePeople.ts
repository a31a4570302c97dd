'use client';
import { useState } from 'react';
import type { Person, Program, Tablet } from '@/core/people';
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

export type SendManaged = ReturnType<typeof useManaged>['send'];
