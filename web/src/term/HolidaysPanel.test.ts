import { mount } from "@vue/test-utils";
import { beforeEach, describe, expect, it } from "vitest";
import { shallowRef } from "vue";
import { notedChanges, server, settled, stubs } from "../test/stand";
import HolidaysPanel from "./HolidaysPanel.vue";
import { TERM } from "./useTerm";

const holiday = (day: string, name: string, state: string) => ({
  day,
  name,
  state,
  takes: "takes 1 class from A",
  closure: { first: day, last: day, reason: name, kind: "public-holiday" },
});
const HOLIDAYS = [
  holiday("2026-09-07", "Labour Day", "off"),
  holiday("2026-10-12", "Founders’ Day", "teaches"),
  holiday("2026-11-11", "Remembrance", "teaches"),
  holiday("2026-12-26", "Second day", "weekend"),
];

async function panel(holidays: object[] = HOLIDAYS, checked = true) {
  const asked = server({
    "GET countries": () => [
      { code: "us", name: "United States" },
      { code: "fi", name: "Finland" },
    ],
    "GET regions": (a) => (a.query.get("country") === "us" ? [{ code: "ny", name: "New York" }] : []),
    "GET holidays": () => ({ checked, holidays }),
  });
  const { state, proposed } = notedChanges();
  const at = mount(HolidaysPanel, {
    props: { term: { termId: 7, zone: "America/Chicago" } as never },
    global: { provide: { [TERM as symbol]: { ...state, view: shallowRef({ version: 1 }) } }, stubs },
  });
  await settled();
  const button = (text: string) => at.findAll("button").find((b) => b.text().startsWith(text))!;
  return { at, asked, proposed, button };
}

describe("public holidays", () => {
  beforeEach(() => localStorage.setItem("matsuri.holidays", "us/"));

  it("are those on days that teach; the rest is counted", async () => {
    const { at } = await panel();
    expect(at.findAll("li").map((l) => l.find(".h").text())).toEqual(["Labour Day", "Founders’ Day", "Remembrance"]);
    expect(at.find("li input").attributes("disabled"), "off already").toBeDefined();
    expect(at.text()).toContain("1 more falls on days that do not teach.");
  });

  it("are taken all at once, or those that are ticked", async () => {
    const { at, proposed, button } = await panel();
    await button("Take all 2").trigger("click");
    expect(proposed[0]!.change).toMatchObject({ kind: "together", does: "Take 2 public holidays" });
    await at.findAll("li input")[1]!.setValue(true);
    await button("Take the chosen").trigger("click");
    expect(proposed[1]!.change).toMatchObject({
      does: "Day off Mon 12 Oct, Founders’ Day",
      changes: [{ kind: "add-closure", closure: HOLIDAYS[1]!.closure }],
    });
  });

  it("follow the country and the region, which are kept", async () => {
    const { at, asked } = await panel();
    await at.find("[aria-label=Region]").setValue("ny");
    await settled();
    expect(asked.at(-1)!.query.get("region")).toBe("ny");
    await at.find("[aria-label=Country]").setValue("fi");
    await settled();
    expect(asked.at(-1)!.query.get("country")).toBe("fi");
    expect(asked.at(-1)!.query.get("region")).toBe("");
    expect(at.find("[aria-label=Region]").exists()).toBe(false);
    expect(localStorage.getItem("matsuri.holidays")).toBe("fi/");
  });

  it("say that none falls on a day that teaches, and that a list was not checked", async () => {
    const { at } = await panel([HOLIDAYS[3]!], false);
    expect(at.text()).toContain("None of them falls on a day that teaches.");
    expect(at.text()).toContain("was not checked by us");
    expect(at.findAll("button")).toHaveLength(0);
  });
});
