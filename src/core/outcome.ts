/** An answer the model will not give, with the reason as data and as a sentence. */
export interface Refused {
  readonly ok: false;
  /** Stable name of the reason, kebab case: `past-turn-limit`. */
  readonly reason: string;
  /** What is wrong and what is possible. */
  readonly message: string;
  /** The input it hangs on, where there is one. */
  readonly field?: string;
}

export type Answered<T> = T & { readonly ok: true };
export type Outcome<T> = Answered<T> | Refused;

export const refused = (reason: string, message: string, field?: string): Refused => ({
  ok: false,
  reason,
  message,
  ...(field === undefined ? {} : { field }),
});

export const answered = <T extends object>(value: T): Answered<T> => ({ ok: true, ...value });
