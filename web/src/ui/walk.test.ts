import { describe, expect, it } from "vitest";
import { dropChange, saysDrop } from "../wall/drop";
import { day, lesson, wallOf } from "../wall/testWall";
import { walk } from "./walk";

describe("walking the days with the arrow keys", () => {
  const wall = wallOf();
  it.each([
    ["2026-10-06", "ArrowRight", "2026-10-07"],
    ["2026-10-07", "ArrowRight", "2026-10-12"],
    ["2026-10-12", "ArrowLeft", "2026-10-07"],
    ["2026-10-06", "ArrowDown", "2026-10-13"],
    ["2026-10-13", "ArrowUp", "2026-10-06"],
    ["2026-10-05", "ArrowUp", "2026-10-05"],
    ["2026-10-05", "ArrowLeft", "2026-10-05"],
    ["2026-10-14", "ArrowRight", "2026-10-14"],
    ["2026-10-06", "Home", "2026-10-05"],
    ["2026-10-06", "End", "2026-10-07"],
    ["1999-01-01", "ArrowDown", "2026-10-05"],
  ])("from %s with %s to %s", (from, key, to) => {
    expect(walk(wall, from, key)).toBe(to);
  });
});

describe("dropping", () => {
  const wall = wallOf();
  it("moves work and lessons to a day", () => {
    expect(dropChange(wall.section, ["item:i", "lesson:L1"], "2026-10-12", {})).toEqual({
      kind: "move",
      course: "C",
      seenIn: "A",
      lessons: ["L1"],
      items: ["i"],
      to: "2026-10-12",
      place: "last",
      keepSpacing: false,
    });
    expect(dropChange(wall.section, ["item:i", "item:k"], "2026-10-12", {})).toHaveProperty("keepSpacing", false);
    expect(dropChange(wall.section, ["item:i", "item:k"], "2026-10-12", { spacing: true })).toHaveProperty(
      "keepSpacing",
      true,
    );
    expect(dropChange(wall.section, ["item:i"], "2026-10-12", { fix: true })).toHaveProperty("fixed", true);
  });
  it("dates a unit, and with it all that is in it", () => {
    expect(dropChange(wall.section, ["unit:U"], "2026-10-12", {})).toEqual({
      kind: "date-unit",
      course: "C",
      section: "A",
      unit: "U",
      to: "2026-10-12",
    });
  });
  it("fixes one lesson where the pin key is held", () => {
    expect(dropChange(wall.section, ["lesson:L1"], "2026-10-12", { fix: true })).toEqual({
      kind: "pin",
      course: "C",
      section: "A",
      lesson: "L1",
      date: "2026-10-12",
    });
    expect(dropChange(wall.section, ["item:i"], "2026-10-12", { fix: true }).kind).toBe("move");
  });
  it("says before what the drop means", () => {
    const withClass = wall.weeks[0]!.days[0]!;
    expect(saysDrop(["item:i"], withClass, false)).toBe("moves with L1, due 10:00");
    expect(saysDrop(["item:i"], day("2026-10-06"), false)).toBe("on this date, fixed");
    expect(saysDrop(["lesson:L2"], withClass, false)).toBe("in order, here (L1 gives way)");
    expect(saysDrop(["lesson:L1"], day("2026-10-06", { lessons: [lesson("L1")] }), false)).toBe("is here already");
    expect(saysDrop(["lesson:L2"], day("2026-10-06"), false)).toBe("no class here");
    expect(saysDrop(["lesson:L1"], withClass, true)).toBe("fix on this day");
  });
});
