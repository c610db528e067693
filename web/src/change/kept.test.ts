import { describe, expect, it } from "vitest";
import { kept } from "./kept";
import { day, wallOf } from "../wall/testWall";

describe("a wall that was asked for again", () => {
  it("keeps the objects of days and weeks that say the same", () => {
    const old = wallOf(1);
    const fresh = structuredClone(old);
    const now = kept(old, { ...fresh, version: 2 });
    expect(now.version).toBe(2);
    expect(now.weeks.every((week, n) => week === old.weeks[n])).toBe(true);
    expect(now.columns).toBe(old.columns);
  });

  it("takes a day that changed, and leaves the other days of its week", () => {
    const old = wallOf(1);
    const fresh = structuredClone(old);
    const last = fresh.weeks[0]!.days.length - 1;
    fresh.weeks[0]!.days[last] = day(old.weeks[0]!.days[last]!.date, { notes: ["lab coat"] });
    const now = kept(old, fresh);
    expect(now.weeks[0]).not.toBe(old.weeks[0]);
    expect(now.weeks[0]!.days[last]!.notes).toEqual(["lab coat"]);
    expect(now.weeks[0]!.days.slice(0, last).every((d, n) => d === old.weeks[0]!.days[n])).toBe(true);
  });

  it("takes a week whose days are the same and whose work is not", () => {
    const old = wallOf(1);
    const fresh = structuredClone(old);
    fresh.weeks[0]!.minutes += 60;
    expect(kept(old, fresh).weeks[0]!.minutes).toBe(fresh.weeks[0]!.minutes);
  });

  it("finds what has another place now by its id", () => {
    const old = {
      rows: [
        { id: "a", n: 1 },
        { id: "b", n: 2 },
      ],
    };
    const fresh = structuredClone({ rows: [{ id: "new", n: 0 }, ...old.rows] });
    const now = kept(old, fresh);
    expect(now.rows[1]).toBe(old.rows[0]);
    expect(now.rows[2]).toBe(old.rows[1]);
    expect(now.rows).toHaveLength(3);
  });

  it("is the old one itself where nothing differs, and tells what is left out from what is nothing", () => {
    const old = { a: [1, { b: null }], c: "x" };
    expect(kept(old, structuredClone(old))).toBe(old);
    expect(kept({ a: undefined }, {})).toEqual({});
    expect(kept({ a: 1 }, { b: 1 })).toEqual({ b: 1 });
    expect(kept([1, 2], [1])).toEqual([1]);
    expect(kept([1], { 0: 1 })).toEqual({ 0: 1 });
    expect(kept(null, old)).toBe(old);
  });

  it("takes a week that has a day less than before", () => {
    const old = wallOf(1);
    const fresh = structuredClone(old);
    fresh.columns.pop();
    fresh.weeks.forEach((week) => week.days.pop());
    const now = kept(old, fresh);
    expect(now.weeks.map((week) => week.days.length)).toEqual([2, 2]);
  });
});
