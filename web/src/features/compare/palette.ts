/** A colour and a dash for each run, so that nothing depends on colour alone. */
export const RUN_LOOKS = [
  { color: 'var(--color-vine)', dash: 'solid' },
  { color: 'var(--color-slate)', dash: [7, 4] },
  { color: 'var(--color-clay)', dash: [2, 3] },
  { color: 'var(--color-plum)', dash: [10, 3, 2, 3] },
  { color: 'var(--color-bark)', dash: [4, 2] },
  { color: 'var(--color-ink)', dash: [1, 2] },
] as const
