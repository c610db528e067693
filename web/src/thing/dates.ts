/** The three dates of a thing, in order, and their names on screen. */
export const DATES = [
  ["opens", "Opens"],
  ["due", "Due"],
  ["closes", "Closes"],
] as const;

export { KINDS } from "../draw/kinds";
