/** What a new question of the journey begins as. */
export const BOUGHT = {
  kind: 'bought' as const,
  what: { product: null, category: null, atLeast: null },
  within: null,
}
