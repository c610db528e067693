import type { Change, Day, WallView } from "../api/client";
import { clock } from "../ui/say";
import { itemsOf } from "../change/outline";

/** What a hand asks for when it drops: to fix the date, or to keep the spacing between several things. */
export interface Drop {
  fix?: boolean;
  spacing?: boolean;
}

function split(keys: readonly string[]) {
  const of = (kind: string) => keys.filter((k) => k.startsWith(kind + ":")).map((k) => k.slice(kind.length + 1));
  // an entry of a series is "notice:hut@2026-09-10"
  const notices = of("notice").map((k) => ({ id: k.split("@")[0]!, entry: k.split("@")[1] }));
  return { units: of("unit"), lessons: of("lesson"), items: of("item"), notices };
}

/** What dropping the things on the day means, in a few words. */
export function saysDrop(keys: readonly string[], day: Pick<Day, "lessons" | "sessions">, fix: boolean): string {
  const { units, lessons, items, notices } = split(keys);
  const first = day.lessons[0];
  if (units.length) return first ? `the unit in order, here (${first.id} gives way)` : "the unit, from here";
  if (lessons.length && fix) return "fix on this day";
  if (lessons.length && day.lessons.some((l) => lessons.includes(l.id))) return "is here already";
  if (lessons.length && !day.sessions.length) return "no class here";
  if (lessons.length) return first ? `in order, here (${first.id} gives way)` : "here";
  if (!items.length) return notices.length ? "on this date" : "";
  const at = day.sessions[0];
  return first && at && !fix ? `moves with ${first.id}, due ${clock(at.start)}` : "on this date, fixed";
}

/** How full the day is, and would be with the things on it. */
export function fullness(keys: readonly string[], day: Day, wall: WallView) {
  const ids = new Set(split(keys).items);
  const here = new Set(day.items.filter((i) => i.which.startsWith("main") && !i.course).map((i) => i.id));
  const coming = itemsOf(wall).filter((i) => ids.has(i.id) && !here.has(i.id));
  const minutes = coming.reduce((sum, i) => sum + (i.minutes ?? 0), day.load.minutes);
  return { due: day.load.due + coming.length, minutes };
}

/** The change that dropping the things on the day asks for. */
export function dropChange(
  at: { course: string; section: string },
  keys: readonly string[],
  date: string,
  how: Drop,
): Change {
  const { units, lessons, items, notices } = split(keys);
  const { course, section } = at;
  if (notices.length) {
    const others = keys.filter((k) => !k.startsWith("notice:"));
    const changes = [
      ...(others.length ? [dropChange(at, others, date, how)] : []),
      ...notices.map((n) => ({
        kind: "move-notice" as const,
        course,
        section,
        notice: n.id,
        entry: n.entry,
        to: date,
      })),
    ];
    return changes.length === 1 ? changes[0]! : { kind: "together", does: "", changes };
  }
  if (units.length) {
    const others = keys.filter((k) => !k.startsWith("unit:"));
    const changes = [
      ...units.map((unit) => ({ kind: "date-unit" as const, course, section, unit, to: date })),
      ...(others.length ? [dropChange(at, others, date, how)] : []),
    ];
    return changes.length === 1 ? changes[0]! : { kind: "together", does: "", changes };
  }
  const only = lessons[0];
  if (how.fix && lessons.length === 1 && !items.length && only) {
    return { kind: "pin", course, section, lesson: only, date };
  }
  return {
    kind: "move",
    course,
    seenIn: section,
    lessons,
    items,
    to: date,
    place: "last",
    ...(how.fix ? { fixed: true } : {}),
    keepSpacing: how.spacing === true && items.length > 1,
  };
}
