import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { Refused, server, settled } from "../test/stand";
import DuePage from "./DuePage.vue";

const line = (id: string, when: string, more: object = {}) => ({
  termId: 7,
  term: "Autumn 2026",
  course: "HYD 210",
  sections: ["A", "B"],
  id,
  title: `Work ${id}`,
  kind: "homework",
  due: "2026-10-09T17:00:00",
  closes: null,
  when,
  waits: [],
  ...more,
});
const VIEW = {
  today: "2026-10-07",
  lines: [
    line("p1", "past", { due: "2026-09-01T17:00:00" }),
    line("p2", "past", { due: "2026-09-02T17:00:00", waits: ["nothing-handed-in"] }),
    line("t", "today", { course: "MAP 115", closes: "2026-10-10T17:00:00" }),
    line("w", "week", { waits: ["not-told", "no-link"] }),
  ],
};

async function page(answer: unknown = VIEW) {
  server({ "GET due": () => answer });
  const router = await routed("/due", "/due");
  const at = mount(DuePage, { global: { plugins: [router], stubs: frame } });
  await settled();
  return at;
}

describe("due over all courses", () => {
  it("stands by when, past last and from the latest on", async () => {
    const at = await page();
    expect(at.findAll("h2, summary").map((h) => h.text())).toEqual(["Today 1", "This week 1", "Past 2"]);
    expect(at.findAll("details a").map((a) => a.text())).toEqual(["Work p2", "Work p1"]);
    expect(at.find("section").text()).toContain("until Sat 10 Oct, 17:00");
    expect(
      at
        .findAll("section")[1]!
        .findAll(".wait")
        .map((w) => w.text()),
    ).toEqual(["not told", "no link to hand it in"]);
    expect(at.find("section a").attributes("href")).toBe("/terms/7/dates?section=MAP+115/A&find=Work+t");
  });

  it("shows one course, or only what waits", async () => {
    const at = await page();
    await at.find("select").setValue("MAP 115");
    expect(at.findAll("tbody tr")).toHaveLength(1);
    await at.find("input[type=checkbox]").setValue(true);
    expect(at.text()).toContain("Nothing is due of that.");
  });

  it("says what went wrong, and that nothing is due", async () => {
    expect((await page(new Refused("No."))).find("[role=alert]").text()).toBe("No.");
    expect((await page({ today: "2026-10-07", lines: [] })).text()).toContain("Nothing is due.");
  });
});
