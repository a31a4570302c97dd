/** Refusals several commands give: reason and words. */
export const NO_BOW = ['no-bow', 'Choose a bow first.'] as const;
