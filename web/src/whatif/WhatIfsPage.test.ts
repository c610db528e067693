import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { takingOver, tryIn, trying } from "../api/mode";
import { frame, routed } from "../test/pages";
import { Refused, server, settled, stubs } from "../test/stand";
import WhatIfsPage from "./WhatIfsPage.vue";

const CHANGE = { kind: "first-plan-day", day: "2026-09-02" };
const whatIf = (id: number, name: string, more: object = {}) => ({
  id,
  name,
  steps: ["Lose Fri 9 Oct"],
  change: CHANGE,
  ...more,
});
const FOUR = [1, 2, 3, 4].map((n) => whatIf(n, `What if ${n}`));
const SECTIONS = {
  sections: [
    { course: "HYD 210", section: "A" },
    { course: "MAP 115", section: "A" },
  ],
};

async function page(
  all: object[],
  answers: Record<string, (asked: { query: URLSearchParams; body: unknown }) => unknown> = {},
) {
  tryIn(null);
  takingOver.value = null;
  const asked = server({
    "GET telling": () => SECTIONS,
    "GET what-ifs": () => all,
    "GET comparison": () => ({}),
    ...answers,
  });
  const router = await routed("/terms/:termId/what-ifs", "/terms/7/what-ifs");
  const at = mount(WhatIfsPage, {
    global: { plugins: [router], stubs: { ...frame, ...stubs, ComparisonTable: true } },
  });
  await settled();
  const button = (text: string, n = 0) => at.findAll("button").filter((b) => b.text() === text)[n]!;
  const comparison = () => asked.filter((a) => a.key === "GET comparison").at(-1)!.query;
  return { at, asked, router, button, comparison };
}

describe("the what-ifs of a term", () => {
  it("says what one is where there is none", async () => {
    const { at, asked } = await page([]);
    expect(at.text()).toContain("students see nothing of it");
    expect(
      asked.some((a) => a.key === "GET comparison"),
      "nothing lies beside the plan",
    ).toBe(false);
  });

  it("lays the first three beside the plan, in the first section", async () => {
    const { comparison } = await page(FOUR);
    expect(comparison().getAll("ids")).toEqual(["1", "2", "3"]);
    expect([comparison().get("course"), comparison().get("section")]).toEqual(["HYD 210", "A"]);
  });

  it("takes the one ticked last in place of the one ticked first, and none without a tick", async () => {
    const { at, comparison } = await page(FOUR);
    const ticks = at.findAll("input[type=checkbox]");
    await ticks[3]!.setValue(true);
    await settled();
    expect(comparison().getAll("ids")).toEqual(["2", "3", "4"]);
    for (const tick of [1, 2, 3]) await ticks[tick]!.setValue(false);
    await settled();
    expect(at.text()).toContain("Tick up to 3 to lay them beside the plan.");
  });

  it("looks at another section when that is chosen", async () => {
    const { at, comparison } = await page(FOUR);
    await at.find("select").setValue("MAP 115/A");
    await settled();
    expect(comparison().get("course")).toBe("MAP 115");
  });

  it("makes one by its name and goes into it", async () => {
    const { at, asked, router } = await page([], { "POST what-ifs": () => whatIf(8, "Two days lost") });
    await at.find("#what-if-name").setValue("Two days lost");
    await at.find("form").trigger("submit");
    await settled();
    expect(asked.find((a) => a.key === "POST what-ifs")!.body).toEqual({ name: "Two days lost" });
    expect(trying.value).toMatchObject({ termId: 7, id: 8, name: "Two days lost" });
    expect(router.currentRoute.value.fullPath).toBe("/terms/7/wall?section=HYD+210/A");
  });

  it("takes one over as a proposal to the plan", async () => {
    const { button, router } = await page([whatIf(1, "Two days lost")]);
    tryIn({ termId: 7, id: 1, name: "Two days lost" });
    await button("Take over…").trigger("click");
    await settled();
    expect(takingOver.value).toEqual(CHANGE);
    expect(trying.value, "the plan itself is looked at again").toBeNull();
    expect(router.currentRoute.value.path).toBe("/terms/7/wall");
  });

  it("takes nothing over that is empty or broken, and says what is", async () => {
    const { at, button } = await page([
      whatIf(1, "Empty", { steps: [], change: undefined }),
      whatIf(2, "Broken", { broken: "“Move CH2” can no longer be made." }),
    ]);
    expect(button("Take over…", 0).attributes("disabled")).toBeDefined();
    expect(button("Take over…", 1).attributes("disabled")).toBeDefined();
    expect(at.text()).toContain("No changes yet.");
    expect(at.find(".look").text()).toContain("can no longer be made");
  });

  it("drops one only when that is said twice, and is no longer in it", async () => {
    const { at, asked, button } = await page([whatIf(1, "Two days lost")], { "DELETE 1": () => [] });
    tryIn({ termId: 7, id: 1, name: "Two days lost" });
    await button("Drop").trigger("click");
    expect(at.text()).toContain("1 change would be gone for good.");
    await button("Keep it").trigger("click");
    expect(asked.some((a) => a.key.startsWith("DELETE"))).toBe(false);
    await button("Drop").trigger("click");
    await button("Drop it").trigger("click");
    await settled();
    expect(asked.some((a) => a.key === "DELETE 1")).toBe(true);
    expect(trying.value).toBeNull();
    expect(at.findAll("section")).toHaveLength(0);
  });

  it("says why one cannot be made, and keeps its name", async () => {
    const { at } = await page([], { "POST what-ifs": () => new Refused("There is one of that name.") });
    await at.find("#what-if-name").setValue("Two days lost");
    await at.find("form").trigger("submit");
    await settled();
    expect(at.find("[role=alert]").text()).toBe("There is one of that name.");
    expect((at.find("#what-if-name").element as HTMLInputElement).value).toBe("Two days lost");
  });
});
