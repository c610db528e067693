import type { Schemas } from "../api/client";
import { threadOf } from "../draw/units";

type Units = Schemas["LanesView"]["units"] | undefined;

/** How the units of a course are drawn, by their ids. */
export function looksIn(units: Units, course: string): Map<string, string[]> {
  return new Map(units?.filter((u) => u.course === course).map((u) => [u.id, threadOf(u.number, u.colour ?? "")]));
}

/** The codes of the units of a course, by their ids. */
export function codesIn(units: Units, course: string): Map<string, string> {
  return new Map(units?.filter((u) => u.course === course).map((u) => [u.id, u.code]));
}
