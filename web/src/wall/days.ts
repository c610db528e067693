import type { Day, WallView } from "../api/client";
import { isOff } from "../draw/rows";

const known = new WeakMap<WallView, Day[]>();

/** All days of the term in order, also those without a column. */
export function daysOf(wall: WallView): Day[] {
  let days = known.get(wall);
  if (!days) {
    days = [...wall.weeks.flatMap((w) => w.days), ...wall.others]
      .filter((d) => d.inTerm)
      .sort((a, b) => (a.date < b.date ? -1 : 1));
    known.set(wall, days);
  }
  return days;
}

/** The day of that date; nothing where the term has none. */
export const dayOf = (wall: WallView, date: string) =>
  daysOf(wall).find((d) => d.date === date) ?? wall.weeks.flatMap((w) => w.days).find((d) => d.date === date);

/** Days off that follow one another for one reason, as one; any other day by itself. */
export function stretchesOf(days: readonly Day[]): Day[][] {
  const list: Day[][] = [];
  for (const day of days) {
    const before = list[list.length - 1]?.[0];
    const same =
      before &&
      isOff(before) &&
      isOff(day) &&
      before.off?.first === day.off?.first &&
      before.off?.reason === day.off?.reason;
    if (same) list[list.length - 1]!.push(day);
    else list.push([day]);
  }
  return list;
}

/** How many things are on a day. */
export const thingsOn = (day: Day) => day.lessons.length + day.items.length + day.notices.length + day.words.length;
