import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { type Asked, Refused, presses, server, settled, stubs } from "../test/stand";
import LanesPage from "./LanesPage.vue";

const lane = (course: string, section: string, more: object = {}) => ({
  course,
  section,
  meets: "Mon Wed Fri 10:00",
  held: 15,
  sessions: 44,
  taught: 12,
  lessons: 40,
  behind: 0,
  unrecorded: 0,
  standing: "in step",
  knots: [],
  tests: [],
  ...more,
});
const VIEW = {
  termId: 7,
  version: 3,
  name: "Autumn 2026",
  today: "2026-10-07",
  at: 37,
  days: 110,
  findings: 1,
  apart: ["Midterm is 3 days apart in A and B"],
  off: [{ at: 42, days: 2, reason: "Autumn break" }],
  units: [{ course: "HYD 210", id: "BA", code: "BA", title: "Basins", number: 0 }],
  weeks: [
    { number: 1, first: "2026-08-31", at: 0 },
    { number: 2, first: "2026-09-07", at: 7 },
  ],
  lanes: [
    lane("HYD 210", "A", { unrecorded: 2 }),
    lane("HYD 210", "B", { behind: 2, furthest: "A", standing: "2 lessons behind A", unrecorded: 1 }),
    lane("MAP 115", "A"),
  ],
};
const WAY = {
  name: "hold-back",
  sentence: "Hold A back for a class",
  week: 8,
  left: 0,
  costs: [],
  steps: ["Keep Fri 16 Oct free"],
  change: { kind: "hold-empty", course: "HYD 210", section: "A", session: "2026-10-16T10:00", hold: true },
};

async function page(answers: Record<string, (asked: Asked) => unknown> = {}, view: object = VIEW) {
  const asked = server({
    "GET lanes": () => view,
    "GET terms": () => [
      { id: 7, name: "Autumn 2026", role: "own" },
      { id: 3, name: "Spring 2026", role: "own" },
      { id: 4, name: "Taken over", role: "substitute" },
    ],
    "POST proposals": () => ({ sentence: "Record", moves: [], notes: [] }),
    ...answers,
  });
  const router = await routed("/terms/:termId/lanes", "/terms/7/lanes");
  const at = mount(LanesPage, {
    global: { plugins: [router], stubs: { ...frame, ...stubs, ChangeLine: true, LaneLine: true, Knot: true } },
  });
  await settled();
  const press = presses(at);
  const proposed = () => asked.filter((a) => a.key === "POST proposals").at(-1)!.body;
  return { at, asked, press, proposed };
}

describe("sections as lanes", () => {
  it("says who is behind whom, and what lies apart", async () => {
    const { at } = await page();
    expect(at.find(".title h2").text()).toBe("At the end of this week HYD 210 B is 2 lessons behind A");
    expect(at.find(".apart").text()).toContain("Midterm is 3 days apart");
    expect(at.findAll("section.row")[0]!.text()).toContain("15 of 44 classes held, 12 of 40 taught");
    const even = await page({}, { ...VIEW, lanes: [lane("HYD 210", "A")] });
    expect(even.at.find(".title h2").text()).toBe("At the end of this week every section is in step");
  });

  it("shows one course where that is chosen", async () => {
    const { at } = await page();
    await at.find("[aria-label='Which courses']").setValue("MAP 115");
    expect(at.findAll("section.row")).toHaveLength(1);
    expect(at.find(".title h2").text()).toContain("every section is in step");
  });

  it("records what was held up to here, for one section or for all", async () => {
    const { at, proposed } = await page();
    await at.findAll("section.row")[0]!.find("button").trigger("click");
    await settled();
    expect(proposed()).toEqual({ kind: "record-held", course: "HYD 210", section: "A", until: "2026-10-07" });
    const all = await page();
    await all.press("Taught up to here, all 2 sections");
    expect(all.proposed()).toMatchObject({
      kind: "together",
      does: "Record classes up to Wed 7 Oct as held as planned in 2 sections",
    });
  });

  it("looks for ways into step, and takes one as a proposal", async () => {
    const { at, asked, press, proposed } = await page({ "GET in-step": () => [WAY] });
    await press("Bring B into step");
    expect(asked.find((a) => a.key === "GET in-step")!.query.get("section")).toBe("B");
    const dialog = at.find("[role=dialog]");
    expect(dialog.text()).toContain("Hold A back for a class");
    expect(dialog.text()).toContain("level at the end of week 8");
    await dialog.find("button").trigger("click");
    await settled();
    expect(proposed()).toEqual(WAY.change);
    expect(at.find("[role=dialog]").exists()).toBe(false);
  });

  it("says why there is no way into step", async () => {
    const { at, press } = await page({ "GET in-step": () => new Refused("Nothing is left to teach.") });
    await press("Bring B into step");
    expect(at.find("[role=dialog]").text()).toContain("Nothing is left to teach.");
  });

  it("lays another term below, but none that is only taken over for some days", async () => {
    const other = { ...VIEW, name: "Spring 2026", lanes: [lane("HYD 210", "A"), lane("ICE 120", "A")] };
    let first = true;
    const { at } = await page({
      "GET lanes": () => {
        if (!first) return other;
        first = false;
        return VIEW;
      },
    });
    const choice = at.find("[aria-label='Another term to lay below']");
    expect(choice.findAll("option").map((o) => o.text())).toEqual(["no other term", "Spring 2026"]);
    await choice.setValue("3");
    await settled();
    expect(at.text()).toContain("Spring 2026, week by week below this term");
    expect(at.findAll("section.row"), "of the courses that are here").toHaveLength(4);
    await choice.setValue("");
    await settled();
    expect(at.findAll("section.row")).toHaveLength(3);
  });
});
