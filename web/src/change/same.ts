import equal from "fast-deep-equal";
import type { OutlineUnit, WallView, Week } from "../api/client";

/** The new list, with what is equal to the old one at its place replaced by the old. */
function kept<T>(old: readonly T[], fresh: readonly T[]): T[] {
  return fresh.map((one, n) => (equal(old[n], one) ? (old[n] as T) : one));
}

function keptWeek(old: Week | undefined, fresh: Week): Week {
  if (!old) return fresh;
  const days = kept(old.days, fresh.days);
  // a week can have a day less than before, as when a due date on a Sunday is taken back
  const same =
    days.length === old.days.length &&
    days.every((day, n) => day === old.days[n]) &&
    equal({ ...old, days: null }, { ...fresh, days: null });
  return same ? old : { ...fresh, days };
}

/**
 * The new wall, in which days, weeks and units that say the same as before are the same objects, so that nobody draws
 * them again. Compared a day at a time: what is within a changed day is drawn anyway.
 */
export function keepSame(old: WallView | null, fresh: WallView): WallView {
  if (!old) return fresh;
  return {
    ...fresh,
    columns: equal(old.columns, fresh.columns) ? old.columns : fresh.columns,
    weeks: fresh.weeks.map((week, n) => keptWeek(old.weeks[n], week)),
    others: kept(old.others, fresh.others),
    outline: { ...fresh.outline, units: kept<OutlineUnit>(old.outline.units, fresh.outline.units) },
  };
}
