/** Words of whatever is connected. */
export const devices = {
  silent: 'Nothing came for eight seconds. Look at its cable and its switch, then start again.',
  nothingCame: (leftOut: number) =>
    leftOut === 0
      ? 'It was connected, but sent no reading.'
      : `${leftOut} ${leftOut === 1 ? 'line' : 'lines'} came that cannot be read, and no reading: is another device on this cable?`,
  live: (device: string, n: number, leftOut: number) =>
    `${device || 'Connecting'}: ${n} ${n === 1 ? 'reading' : 'readings'}${leftOut > 0 ? `, ${leftOut} not to be read` : ''}`,
  connect: 'Listen to the chronograph',
  stop: 'Stop',
  fromDevice: 'from the device',
  typed: 'typed',
  leaveOut: 'Leave out',
  leftOut: (reason: string) => `left out: ${reason}`,
  whyLeftOut: 'Why it is left out',
  keepIt: 'Count it again',
  noReason: 'Say why in a word or two; it stays with the reading.',
  weigh: 'Listen to the bow scale',
  practise: 'Practice shot',
  practiseMany: 'Three practice arrows',
  practiceHint: 'A stand-in archer shoots this bow as it is set; nobody need draw it.',
} as const;
