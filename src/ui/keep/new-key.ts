/** Names one entry among all; no secret, so any chance will do. */
export const newKey = () =>
  `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}-${Math.random().toString(36).slice(2)}`;
