import type { Change, Day, WallView } from "../api/client";
import { clock } from "../ui/say";

function split(keys: readonly string[]) {
  const of = (kind: string) => keys.filter((k) => k.startsWith(kind + ":")).map((k) => k.slice(kind.length + 1));
  return { lessons: of("lesson"), items: of("item") };
}

/** What dropping the things on the day means, in a few words. */
export function saysDrop(keys: readonly string[], day: Day, pin: boolean): string {
  const { lessons, items } = split(keys);
  const first = day.lessons[0];
  if (lessons.length && pin) return "fix on this day";
  if (lessons.length)
    return first && !lessons.includes(first.id) ? `in order, here (${first.id} gives way)` : "in order, here";
  if (!items.length) return "";
  const at = day.sessions[0];
  return first && at ? `moves with ${first.id}, due ${clock(at.start)}` : "on this date, fixed";
}

/** The change that dropping the things on the day asks for. */
export function dropChange(wall: WallView, keys: readonly string[], date: string, pin: boolean): Change {
  const { lessons, items } = split(keys);
  const { course, section } = wall.section;
  const only = lessons[0];
  if (pin && lessons.length === 1 && !items.length && only) {
    return { kind: "pin", course, section, lesson: only, date };
  }
  return { kind: "move", course, section, lessons, items, to: date, place: "last", keepSpacing: items.length > 1 };
}
