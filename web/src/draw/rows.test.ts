import { describe, expect, it } from "vitest";
import type { Day, Week } from "../api/client";
import { cellsOf, rowsOf } from "./rows";
import { day } from "../wall/testWall";

const off = (first: string, last: string, reason = "Break") => ({
  first,
  last,
  reason,
  kind: "break",
  noClass: true,
  planPauses: false,
  nothingDue: true,
  justInCase: false,
  only: [],
  proposed: false,
});
const thread = { unit: "U", begins: false, ends: false };
function week(days: Day[]): Week {
  return { number: 1, first: days[0]!.date, minutes: 0, over: 0, headline: "", targets: [], days };
}

describe("the cells of a week", () => {
  it("joins a run of days off and says its length once", () => {
    const run = off("2026-10-12", "2026-10-13");
    const cells = cellsOf(
      week([day("2026-10-12", { off: run }), day("2026-10-13", { off: run }), day("2026-10-14")]),
      false,
    );
    expect(cells.map((c) => c.runLength)).toEqual([2, 0, 0]);
    expect(cells[0]!.runEnd).toBe("2026-10-13");
    expect(cells.map((c) => c.runGoesOn)).toEqual([true, false, false]);
  });
  it("does not join days off of other reasons", () => {
    const cells = cellsOf(
      week([
        day("2026-10-12", { off: off("2026-10-12", "2026-10-12") }),
        day("2026-10-13", { off: off("2026-10-13", "2026-10-13", "Flood") }),
      ]),
      false,
    );
    expect(cells.map((c) => c.runLength)).toEqual([1, 1]);
  });
  it("lets the thread go under a day off", () => {
    const cells = cellsOf(
      week([
        day("2026-10-12", { thread }),
        day("2026-10-13", { thread, off: off("2026-10-13", "2026-10-13") }),
        day("2026-10-14", { thread }),
      ]),
      false,
    );
    expect(cells[0]!.holeRight).toBe(true);
    expect(cells[2]!.holeLeft).toBe(true);
  });
  it("does not hatch a day off on which a class stands", () => {
    const lesson = {
      id: "L",
      unit: "U",
      title: "",
      part: 1,
      parts: 1,
      taught: true,
      pinned: false,
      joined: false,
      optional: false,
      reserve: false,
      proposed: false,
      steps: [],
      links: [],
    };
    expect(
      cellsOf(week([day("2026-10-12", { off: off("2026-10-12", "2026-10-12"), lessons: [lesson] })]), false)[0]!.off,
    ).toBe(false);
  });
  it("draws the stair of now from today on", () => {
    const cells = cellsOf(
      week([day("2026-10-06", { past: true }), day("2026-10-07", { today: true }), day("2026-10-08")]),
      true,
    );
    expect(cells.map((c) => c.nowTop)).toEqual([false, true, true]);
    expect(cells.map((c) => c.nowLeft)).toEqual([false, true, false]);
  });
  it("keeps cells and rows that say the same, so that they are not drawn again", () => {
    const one = week([day("2026-10-12"), day("2026-10-13")]);
    const two = { ...week([day("2026-10-19")]), number: 2 };
    const first = rowsOf([one, two], 9);
    const second = rowsOf([{ ...one, days: [one.days[0]!, day("2026-10-13", { teaches: false })] }, two], 9, first);
    expect(second[0]!.cells[0]).toBe(first[0]!.cells[0]);
    expect(second[0]!.cells[1]).not.toBe(first[0]!.cells[1]);
    expect(second[1]).toBe(first[1]);
    expect(rowsOf([one, two], 2, first)[1]).not.toBe(first[1]);
  });
});
