import type { Change } from "../api/client";

/** The course of "MAP 115" or, of one of its sections, "MAP 115/A". */
export const courseOfShared = (shared: string) =>
  shared.includes("/") ? shared.slice(0, shared.lastIndexOf("/")) : shared;

/** "also in MAP 115 and SOL 101"; empty where it is in none. */
export function alsoIn(shared: readonly string[] | null | undefined): string {
  const names = (shared ?? []).map((s) => s.replace("/", " "));
  const last = names.pop();
  return last ? `also in ${names.length ? `${names.join(", ")} and ${last}` : last}` : "";
}

/** Names a thing of another course on a wall that has it too: "shared:HYD 210", a tab, "item:set-1". */
export const sharedKey = (course: string, thing: string) => `shared:${course}\t${thing}`;

/** The course and the thing of such a key; null for any other. */
export function ofShared(key: string): { course: string; thing: string } | null {
  const at = key.indexOf("\t");
  return key.startsWith("shared:") && at > 0 ? { course: key.slice(7, at), thing: key.slice(at + 1) } : null;
}

/** The change that takes a thing which several courses have out of one of them. */
export function leaving(course: string, thing: string, leaves: string): Change {
  const id = thing.slice(thing.indexOf(":") + 1).split("@")[0]!;
  return { kind: "leave-shared", course, leaves, ...(thing.startsWith("item:") ? { item: id } : { notice: id }) };
}
