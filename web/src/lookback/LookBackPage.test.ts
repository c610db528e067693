import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { server, settled, stubs } from "../test/stand";
import LookBackPage from "./LookBackPage.vue";

const row = (termId: number, term: string, more: object = {}) => ({
  termId,
  term,
  here: false,
  state: "taught",
  sessions: 8,
  planned: 7,
  cells: [],
  lost: [],
  notes: [],
  sentence: "took 8 sessions",
  beside: "one more than planned",
  ...more,
});
const PACE = { kind: "together", does: "Use the pace of Spring 2025", changes: [] };
const VIEW = {
  version: 4,
  course: "HYD 210",
  section: "A",
  courses: ["HYD 210", "MAP 115"],
  sections: ["A", "B"],
  findings: 2,
  terms: [
    { id: 3, name: "Spring 2026", shown: true },
    { id: 2, name: "Spring 2025", shown: false },
  ],
  units: [
    {
      id: "BA",
      code: "BA",
      title: "Basins",
      number: 0,
      range: "7 to 9",
      tight: true,
      rows: [
        row(7, "", { here: true, state: "to-come", sentence: "7 sessions planned" }),
        row(3, "Spring 2026", {
          pace: PACE,
          lost: ["1 class lost: Flood"],
          notes: ["BA3: long questions"],
          first: "2026-01-12",
          last: "2026-01-30",
        }),
      ],
    },
  ],
};

async function page(view: object = VIEW, at = "/terms/7/look-back?section=HYD%20210/A") {
  const asked = server({
    "GET look-back": () => view,
    "POST proposals": () => ({ sentence: "Use the pace", moves: [] }),
  });
  const router = await routed("/terms/:termId/look-back", at);
  const wrapper = mount(LookBackPage, {
    global: { plugins: [router], stubs: { ...frame, ...stubs, ChangeLine: true, PaceBar: true, PaceTable: true } },
  });
  await settled();
  const looks = () => asked.filter((a) => a.key === "GET look-back").map((a) => a.query);
  return { at: wrapper, asked, router, looks };
}

describe("how long each unit took", () => {
  it("stands beside earlier terms, with what was lost and noted", async () => {
    const { at } = await page();
    expect(at.find("h2").text()).toContain("BA Basins took 7 to 9▲ too tight");
    const [here, then] = at.findAll(".row").map((r) => r.text());
    expect(here).toContain("this term");
    expect(here).toContain("the plan");
    expect(then).toContain("Spring 2026");
    expect(then).toContain("1 class lost: Flood");
    expect(then).toContain("12–30 Jan");
    expect(then).toContain("BA3: long questions");
  });

  it("proposes an earlier pace for this plan", async () => {
    const { at, asked } = await page();
    await at.find("[aria-label='Use the pace of Spring 2026 for Basins']").trigger("click");
    await settled();
    expect(asked.find((a) => a.key === "POST proposals")!.body).toEqual(PACE);
  });

  it("looks at another section or course, keeping the terms beside it", async () => {
    const { at, looks, router } = await page();
    await at.find("[aria-label=Section]").setValue("B");
    await settled();
    expect(looks().at(-1)!.get("section")).toBe("B");
    expect(router.currentRoute.value.query.section, "as it was answered").toBe("HYD 210/A");
    await at.find("[aria-label=Course]").setValue("MAP 115");
    await settled();
    expect(looks().at(-1)!.get("course")).toBe("MAP 115");
    expect(looks().at(-1)!.get("section"), "the first that there is").toBeNull();
  });

  it("lays another term beside it and takes one away", async () => {
    const { at, looks } = await page();
    await at.find("[aria-label='Another term']").setValue("2");
    await settled();
    expect(looks().at(-1)!.getAll("terms")).toEqual(["3", "2"]);
    await at.find("[aria-label='Without Spring 2026']").trigger("click");
    await settled();
    expect(looks().at(-1)!.getAll("terms")).toEqual([]);
  });

  it("is a table as well, a file, and leads to the Wall", async () => {
    const { at } = await page();
    await at
      .findAll("button")
      .find((b) => b.text() === "Table")!
      .trigger("click");
    expect(at.find("pace-table-stub").exists()).toBe(true);
    expect(at.find(".bars").exists()).toBe(false);
    const links = at.findAll("a.btn").map((a) => a.attributes("href"));
    expect(links[0]).toBe("/api/terms/7/look-back.csv?course=HYD%20210&section=A");
    expect(links[1]).toBe("/terms/7/wall");
  });

  it("says what to do where there is nothing to compare with, or no lesson yet", async () => {
    const { at } = await page({ ...VIEW, terms: [], units: [] });
    expect(at.text()).toContain("No earlier term of HYD 210 is here to compare with.");
    expect(at.text()).toContain("HYD 210 has no lessons yet");
  });

  it("offers to keep earlier paces in mind", async () => {
    const REMEMBER = { kind: "remember-pace", course: "HYD 210", took: [] };
    const { at, asked } = await page({ ...VIEW, remember: REMEMBER });
    await at.find(".keep button").trigger("click");
    await settled();
    expect(asked.find((a) => a.key === "POST proposals")!.body).toEqual(REMEMBER);
  });
});
