import { describe, expect, it } from "vitest";
import { keepSame } from "./same";
import { day, wallOf } from "../wall/testWall";

describe("a wall that was asked for again", () => {
  it("keeps the objects of days and weeks that say the same", () => {
    const old = wallOf(1);
    const fresh = structuredClone(old);
    const kept = keepSame(old, { ...fresh, version: 2 });
    expect(kept.version).toBe(2);
    expect(kept.weeks.every((week, n) => week === old.weeks[n])).toBe(true);
    expect(kept.columns).toBe(old.columns);
  });

  it("takes a day that changed, and leaves the other days of its week", () => {
    const old = wallOf(1);
    const fresh = structuredClone(old);
    const last = fresh.weeks[0]!.days.length - 1;
    fresh.weeks[0]!.days[last] = day(old.weeks[0]!.days[last]!.date, { notes: ["lab coat"] });
    const kept = keepSame(old, fresh);
    expect(kept.weeks[0]).not.toBe(old.weeks[0]);
    expect(kept.weeks[0]!.days[last]!.notes).toEqual(["lab coat"]);
    expect(kept.weeks[0]!.days.slice(0, last).every((d, n) => d === old.weeks[0]!.days[n])).toBe(true);
  });

  it("takes a week whose days are the same and whose work is not", () => {
    const old = wallOf(1);
    const fresh = structuredClone(old);
    fresh.weeks[0]!.minutes += 60;
    expect(keepSame(old, fresh).weeks[0]!.minutes).toBe(fresh.weeks[0]!.minutes);
  });

  it("takes a week that has a day less than before", () => {
    const old = wallOf(1);
    const fresh = structuredClone(old);
    fresh.columns.pop();
    fresh.weeks.forEach((week) => week.days.pop());
    const kept = keepSame(old, fresh);
    expect(kept.weeks.map((week) => week.days.length)).toEqual([2, 2]);
  });
});
