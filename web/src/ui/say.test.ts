import { describe, expect, it } from "vitest";
import { clock, count, dayMonth, hours, lateness, moment, numberOf, span, weekdayDay, weekdayNumber } from "./say";

describe("days and times as they are shown", () => {
  it("names days", () => {
    expect(dayMonth("2026-10-09")).toBe("9 Oct");
    expect(weekdayDay("2026-10-09")).toBe("Fri 9 Oct");
    expect(weekdayNumber("2026-10-09T10:00:00")).toBe("Fri 9");
    expect(numberOf("2026-10-01")).toBe("1 Oct");
    expect(numberOf("2026-10-09")).toBe("9");
  });
  it("names spans", () => {
    expect(span("2026-10-07", "2026-10-21")).toBe("7–21 Oct");
    expect(span("2026-08-31", "2026-09-16")).toBe("31 Aug–16 Sep");
    expect(span("2026-10-07", "2026-10-07")).toBe("7 Oct");
  });
  it("reads clocks of times and moments", () => {
    expect(clock("10:00:00")).toBe("10:00");
    expect(clock("2026-10-09T17:30")).toBe("17:30");
    expect(moment("2026-10-09T17:30:00")).toBe("Fri 9 Oct, 17:30");
  });
  it("counts", () => {
    expect(hours(150)).toBe("2.5 h");
    expect(count(1, "class", "classes")).toBe("1 class");
    expect(count(2, "class", "classes")).toBe("2 classes");
  });
});

describe("lateness", () => {
  it("says whom a change makes late, and whom no longer", () => {
    expect(lateness({ becomes: 1, noLonger: 0, handedIn: 3 })).toBe("1 student becomes late; 3 had handed in");
    expect(lateness({ becomes: 2, noLonger: 1, handedIn: 0 })).toBe(
      "2 students become late, 1 student is no longer late; 0 had handed in",
    );
    expect(lateness({ becomes: 0, noLonger: 0, handedIn: 15 })).toBe("nobody becomes late; 15 had handed in");
  });
});
