import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { shallowRef } from "vue";
import { notedChanges, server, settled, stubs } from "../test/stand";
import ClassesDialog from "./ClassesDialog.vue";
import { TERM } from "./useTerm";

const line = (name: string, more: object = {}) => ({
  name,
  start: name,
  minutes: 50,
  place: "Weir House 2",
  number: 1,
  state: "stands",
  reason: "",
  series: 0,
  taught: false,
  ...more,
});
const LINES = [
  line("2026-10-05T10:00:00", { taught: true }),
  line("2026-10-07T10:00:00", { number: 2 }),
  line("2026-10-09T10:00:00", { number: null, state: "cancelled" }),
  line("2026-10-12T10:00:00", { number: null, state: "off", reason: "Autumn break", minutes: 0 }),
  line("2026-10-14T10:00:00", { number: 3, state: "moved", start: "2026-10-15T13:00:00" }),
];
const MEETS = [{ rule: "FREQ=WEEKLY;BYDAY=MO,WE,FR", start: "10:00", minutes: 50, place: "Weir House 2" }];
const PLAN = { courses: [{ code: "C", sections: [{ code: "A", meets: MEETS }] }] };

async function dialog(openAt = "") {
  server({ "GET classes": () => LINES, "GET plan": () => PLAN });
  const { state, proposed } = notedChanges();
  const at = mount(ClassesDialog, {
    props: { course: "C", section: "A", openAt },
    global: { provide: { [TERM as symbol]: { ...state, view: shallowRef({ version: 1 }) } }, stubs },
    attachTo: document.body,
  });
  await settled();
  const button = (text: string) => at.findAll("button").find((b) => b.text().startsWith(text))!;
  const send = async () => {
    await at.find("form").trigger("submit");
    await settled();
    return proposed.at(-1)?.change;
  };
  return { at, button, send, proposed, state };
}
const SECTION = { course: "C", section: "A" };

describe("the classes of a section", () => {
  it("are listed with what became of them", async () => {
    const { at } = await dialog();
    const rows = at.findAll("tbody tr").map((r) => r.text());
    expect(at.text()).toContain("3 classes take place.");
    expect(rows[0]).toContain("taught");
    expect(rows[2]).toContain("cancelled");
    expect(rows[3]).toContain("Autumn break");
    expect(rows[4]).toContain("moved from Wed 14 Oct, 10:00");
  });

  it("are changed alone: to another day and time", async () => {
    const { at, send } = await dialog("2026-10-07T10:00:00");
    await at.find("#class-day").setValue("2026-10-08");
    await at.find("#class-time").setValue("13:00");
    await at.find("#class-minutes").setValue("75");
    expect(await send()).toEqual({
      kind: "change-session",
      ...SECTION,
      change: { move: "2026-10-07T10:00:00", to: "2026-10-08T13:00", minutes: 75 },
    });
    expect(at.find("form").exists(), "done with it").toBe(false);
  });

  it("are changed from one on, or all of them", async () => {
    const later = await dialog("2026-10-07T10:00:00");
    await later.at.find("[value=later]").setValue();
    await later.at.find("#class-place").setValue("Weir House 3");
    expect(await later.send()).toEqual({
      kind: "change-series",
      ...SECTION,
      pattern: 0,
      from: "2026-10-07",
      meets: { ...MEETS[0], place: "Weir House 3" },
    });
    const all = await dialog("2026-10-07T10:00:00");
    await all.at.find("[value=all]").setValue();
    expect(await all.send()).not.toHaveProperty("from");
  });

  it("are cancelled, but not once they were taught, and take place again", async () => {
    const { button, proposed } = await dialog("2026-10-07T10:00:00");
    await button("Cancel this class").trigger("click");
    await settled();
    expect(proposed[0]!.change).toMatchObject({ change: { cancel: "2026-10-07T10:00:00" } });
    await button("as usual again").trigger("click");
    await settled();
    expect(proposed[1]!.change).toEqual({ kind: "restore-session", ...SECTION, session: "2026-10-09T10:00:00" });
    const taught = await dialog("2026-10-05T10:00:00");
    expect(taught.button("Cancel this class")).toBeUndefined();
  });

  it("are added as long as those that stand, where they take place", async () => {
    const { at, button, send } = await dialog();
    await button("Add a class").trigger("click");
    await at.find("#class-day").setValue("2026-10-17");
    expect(await send()).toEqual({
      kind: "change-session",
      ...SECTION,
      change: { add: "2026-10-17T10:00", minutes: 50, place: "Weir House 2" },
    });
  });

  it("keeps the form open with why where a change is refused", async () => {
    const { at, state, send } = await dialog("2026-10-07T10:00:00");
    state.refuses = "There is a class at that time already.";
    await send();
    expect(at.find("[role=alert]").text()).toContain("already");
    expect(at.find("form").exists()).toBe(true);
  });
});
