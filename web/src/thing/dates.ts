/** The three dates of a thing, in order, and their names on screen. */
export const DATES = [
  ["opens", "Opens"],
  ["due", "Due"],
  ["closes", "Closes"],
] as const;

/** The kinds of work, as the plan file has them. */
export const KINDS = [
  "reading",
  "practice",
  "homework",
  "discussion",
  "lab",
  "project",
  "presentation",
  "quiz",
  "test",
  "other",
] as const;
