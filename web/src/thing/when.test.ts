import { describe, expect, it } from "vitest";
import { between, from, later, onDays, tied, wayOf, weekly, weeklyRule } from "./when";

describe("when a notice is", () => {
  it("knows which way says it all", () => {
    expect(wayOf(onDays("2026-10-05"))).toBe("day");
    expect(wayOf(onDays("2026-10-05", "2026-10-07"))).toBe("days");
    expect(wayOf(from("2026-10-05T15:00", "2026-10-05T16:30"))).toBe("time");
    expect(wayOf(tied("report", "due", 8))).toBe("work");
    expect(wayOf({ repeats: [{ rule: "FREQ=DAILY" }] })).toBe("repeats");
    expect(wayOf({ begins: { lesson: "L1" } })).toBe("words");
    expect(wayOf({ begins: { item: "report", plus: -1, in: "hours" } })).toBe("words");
    expect(wayOf({ allDay: true, begins: { at: "2026-10-05T00:00", plus: 1 } })).toBe("words");
  });
  it("writes weekly rules in the order of the week and reads no other", () => {
    expect(weeklyRule(["TH", "MO"], 2)).toBe("FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TH");
    expect(weekly("FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TH")).toEqual({ days: ["MO", "TH"], every: 2 });
    expect(weekly("FREQ=MONTHLY;BYDAY=1TU")).toBeNull();
    expect(weekly("FREQ=WEEKLY;COUNT=3;BYDAY=MO")).toBeNull();
  });
  it("counts minutes between times of one day", () => {
    expect(between("15:00", "16:30")).toBe(90);
    expect(between("16:30", "15:00")).toBe(0);
    expect(later("15:00", 90)).toBe("16:30");
    expect(later("23:00", 90)).toBe("");
  });
  it("says one day once", () => {
    expect(onDays("2026-10-05", "2026-10-05")).toEqual({ allDay: true, begins: { at: "2026-10-05T00:00" } });
    expect(from("2026-10-05T15:00")).toEqual({ begins: { at: "2026-10-05T15:00" } });
    expect(tied("report", "due", 0).begins).toEqual({ item: "report", date: "due" });
  });
});
