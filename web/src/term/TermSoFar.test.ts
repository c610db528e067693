import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { CalendarView } from "../api/client";
import TermSoFar from "./TermSoFar.vue";

const day = (date: string, more: object = {}) => ({
  date,
  inTerm: true,
  teaches: true,
  off: null,
  runsAs: null,
  extra: false,
  parts: [],
  sessions: [],
  ...more,
});
const term = (...days: object[]) => ({ weeks: [{ days }] }) as unknown as CalendarView;

describe("the term so far", () => {
  it("has a row for each month and marks what is new", () => {
    const at = mount(TermSoFar, {
      props: {
        before: term(
          day("2026-09-30"),
          day("2026-10-01", { off: 0 }),
          day("2026-10-02"),
          day("2026-10-03", { teaches: false }),
        ),
        term: term(
          day("2026-09-30", { off: 1 }),
          day("2026-10-01", { off: 0 }),
          day("2026-10-02", { runsAs: "MO" }),
          day("2026-10-03", { teaches: false }),
        ),
      },
    });
    expect(at.findAll(".month b").map((b) => b.text())).toEqual(["Sep", "Oct"]);
    const cells = at.findAll(".month i").filter((i) => i.text());
    expect(cells.map((c) => `${c.text()} ${c.classes().join(" ")}`)).toEqual([
      "30 off fresh",
      "1 off",
      "2 other fresh",
      "3 free",
    ]);
    expect(at.find("figcaption").text()).toContain("2 days");
  });

  it("leaves days out that are not of the term", () => {
    const days = term(day("2026-08-30", { inTerm: false }), day("2026-08-31"));
    const at = mount(TermSoFar, { props: { before: days, term: days } });
    expect(at.findAll(".month i").filter((i) => i.text())).toHaveLength(1);
    expect(at.find("figcaption").text()).toContain("0 days");
  });
});
