/** What was typed and not yet taken, kept on this screen until it is, also when another job comes between. */
const PREFIX = 'waffenrad.draft.';

export const draftOf = (key: string): string => {
  try {
    return window.sessionStorage.getItem(PREFIX + key) ?? '';
  } catch {
    // Storage can be switched off; then a draft lasts as long as its field.
    return '';
  }
};

export const keepDraft = (key: string, text: string): void => {
  try {
    if (text === '') window.sessionStorage.removeItem(PREFIX + key);
    else window.sessionStorage.setItem(PREFIX + key, text);
  } catch {
    // As above.
  }
};
