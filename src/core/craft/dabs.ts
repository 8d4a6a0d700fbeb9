/** What is taken by eye where nothing is weighed, ml: paste on the tip of a stick. Ordinary sizes; nobody's are exact. */
export const dabs: readonly { name: string; spellings: readonly string[]; ml: number }[] = [
  { name: 'a match-head', spellings: ['match-head', 'match head', 'matchhead'], ml: 0.02 },
  { name: 'a stick dip', spellings: ['stick dip', 'dip', 'dip of a stick', 'stick-dip'], ml: 0.05 },
  { name: 'a pea', spellings: ['pea', 'pea-sized dab', 'dab'], ml: 0.25 },
];
