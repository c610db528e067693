import type { LaidClass, LaidDay, LaidWeek } from "./lay";

/**
 * Where classes stand within a day's cell: on one weekday each course has the same place every week, in order of time. Courses
 * that never meet on the same day, as in turns of two weeks, share a place. Each place names its courses.
 */
export type Slots = readonly (readonly (readonly string[])[])[];

interface Usual {
  lane: string;
  at: string;
  on: ReadonlySet<string>;
}

/** The places of each column's weekday. */
export function slotsOf(weeks: readonly LaidWeek[]): Slots {
  const columns = weeks[0]?.days.length ?? 0;
  return Array.from({ length: columns }, (_, column) => {
    const usual = usualOf(weeks.flatMap((w) => w.days[column] ?? []));
    const often = usual.filter((u) => u.on.size > 2);
    const places: { at: string; lanes: string[]; on: Set<string> }[] = [];
    for (const one of often.length ? often : usual) {
      const free = places.find((p) => p.at === one.at && [...one.on].every((date) => !p.on.has(date)));
      if (free) {
        free.lanes.push(one.lane);
        one.on.forEach((date) => free.on.add(date));
      } else places.push({ at: one.at, lanes: [one.lane], on: new Set(one.on) });
    }
    return places.map((p) => p.lanes);
  });
}

/** The courses of a weekday with the time at which each meets there most often, in order of those. */
function usualOf(days: readonly LaidDay[]): Usual[] {
  const found = new Map<string, { starts: Map<string, number>; on: Set<string> }>();
  for (const day of days)
    for (const one of day.classes) {
      const of = found.get(one.lane) ?? { starts: new Map<string, number>(), on: new Set<string>() };
      // a course without meetings comes after those that meet
      const at = one.beat ? "99" : one.start.slice(11);
      of.starts.set(at, (of.starts.get(at) ?? 0) + 1);
      of.on.add(day.date);
      found.set(one.lane, of);
    }
  return [...found]
    .map(([lane, of]) => ({
      lane,
      on: of.on,
      at: [...of.starts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]![0],
    }))
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}

/** The classes of a day in the places of its weekday; null where a place stays empty. One that has no place comes last. */
export function placed(day: LaidDay, slots: Slots[number]): (LaidClass | null)[] {
  const rest = day.classes.filter((c) => !slots.some((lanes) => lanes.includes(c.lane)));
  return [...slots.map((lanes) => day.classes.find((c) => lanes.includes(c.lane)) ?? null), ...rest];
}
