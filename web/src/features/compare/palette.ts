/** A colour and a dash for each run, so that nothing depends on colour alone. */
export const RUN_LOOKS = [
  { color: '#2e7258', dash: 'solid' },
  { color: '#2f6585', dash: [7, 4] },
  { color: '#9a3a20', dash: [2, 3] },
  { color: '#6b3e75', dash: [10, 3, 2, 3] },
  { color: '#7a5200', dash: [4, 2] },
  { color: '#16241d', dash: [1, 2] },
] as const
