/** The trade's terms behind the plain words of the screens, each explained in one sentence. */
export const TERMS = {
  holdOut:
    'The hold-out: people who enter and get nothing; what the others reach more often is what the journey added.',
  seed: 'The seed: the same number draws the same people, so two versions can be compared person by person.',
  sigma:
    'Sigma, the standard deviation of the logarithm of the time: at 0 all open after the same time, at 1.6, which is typical, one in six takes five times as long as the middle one or more.',
  keenness: 'Keenness: the share of usual emails that people of this group open, on average.',
  spread:
    'Spread: near 0 all of the group open alike, near 1 some open everything and the others nothing.',
  preloads:
    'Pre-loads: their mail program loads the images by itself, within 5 minutes, which records an open that nobody made.',
  pull: 'Pull: how many times the odds of an open are those of a usual email, whoever it is sent to.',
  holm: 'Holm’s correction: all cells are judged together, so that among many comparisons chance alone hardly ever makes a difference.',
  logRank:
    'The log-rank test: whether people get there at another pace, day by day, and not only how many do in the end.',
} as const

export type Term = keyof typeof TERMS
