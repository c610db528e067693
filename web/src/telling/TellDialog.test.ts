import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { notedChanges, settled, stubs } from "../test/stand";
import TellDialog from "./TellDialog.vue";

const told = (section: string, more: object = {}) => ({
  course: "C",
  section,
  begun: true,
  students: 18,
  last: "2026-10-01T09:00:00",
  upTo: "2026-10-23",
  dates: [],
  sessions: [],
  ...more,
});
const late = {
  what: "due",
  id: "report",
  title: "Report",
  told: "2026-10-09T17:00:00",
  now: "2026-10-07T17:00:00",
  days: -2,
  becomesLate: 3,
  noLonger: 0,
  noLongerLate: 0,
  handedIn: 12,
};

function dialog(sections: object[], here = "C/A") {
  const { state, proposed } = notedChanges();
  const at = mount(TellDialog, {
    props: { state: state as never, telling: { sections } as never, here },
    global: { stubs },
  });
  const send = async () => {
    await at.find("form").trigger("submit");
    await settled();
    return proposed.at(-1)?.change;
  };
  return { at, state, proposed, send };
}

describe("telling students", () => {
  it("begins with a section of which something waits, and says what they were told and what is planned", () => {
    const { at } = dialog([told("A"), told("B", { dates: [late] })]);
    expect((at.find("select").element as HTMLSelectElement).value).toBe("C/B");
    const cells = at.findAll("tbody td").map((c) => c.text());
    expect(cells[0]).toContain("Report");
    expect(cells[1]).toBe("Fri 9 Oct, 17:00");
    expect(cells[2]).toBe("Wed 7 Oct, 17:00");
    expect(cells[3]).toContain("2 days less");
    expect(at.find("tbody td.look").exists(), "what takes time away stands out").toBe(true);
  });

  it("tells the section that is chosen up to the day that is said, with why", async () => {
    const { at, send } = dialog([told("A", { dates: [late] })]);
    await at.find("#tell-up-to").setValue("2026-10-30");
    await at.find("#tell-why").setValue("  The gauge was dry ");
    expect(await send()).toEqual({
      kind: "tell",
      course: "C",
      section: "A",
      upTo: "2026-10-30",
      why: "The gauge was dry",
    });
    expect(at.emitted("done")).toHaveLength(1);
  });

  it("tells all dates where no day is said, and nothing of why", async () => {
    const { at, send } = dialog([told("A", { upTo: undefined, begun: false, dates: [late] })]);
    expect(at.text()).toMatch(/There is\s+1 date to tell/);
    expect(await send()).toEqual({ kind: "tell", course: "C", section: "A" });
  });

  it("goes with the section that is chosen", async () => {
    const { at, send } = dialog([told("A", { dates: [late] }), told("B", { upTo: "2026-11-06", students: 15 })]);
    await at.find("select").setValue("C/B");
    expect((at.find("#tell-up-to").element as HTMLInputElement).value).toBe("2026-11-06");
    expect(at.find("[type=submit]").text()).toBe("Tell 15 students");
    expect(await send()).toMatchObject({ section: "B", upTo: "2026-11-06" });
  });

  it("lists forty dates and counts the rest", () => {
    const many = Array.from({ length: 43 }, (_, n) => ({ ...late, id: `i${n}` }));
    const { at } = dialog([told("A", { dates: many })]);
    expect(at.findAll("tbody tr")).toHaveLength(40);
    expect(at.text()).toContain("and 3 more");
  });

  it("stays open with why where telling is refused, and forgets that when it closes", async () => {
    const { at, state, send } = dialog([told("A", { dates: [late] })]);
    state.refuses = "That day lies outside the term.";
    await send();
    expect(at.find("[role=alert]").text()).toContain("outside the term");
    expect(at.emitted("done")).toBeUndefined();
    await at.findAll("button")[0]!.trigger("click");
    expect(state.problem.value).toBe("");
  });

  it("says so where there is no section", () => {
    expect(dialog([]).at.text()).toContain("no section yet");
  });

  it("tells classes that are elsewhere than they were told, also where no date differs", async () => {
    const moved = { session: "2026-10-09T10:00:00", told: "Fri 9 Oct, Weir House 2", now: "Fri 9 Oct, Weir House 5" };
    const { at, send } = dialog([told("A"), told("B", { upTo: null, sessions: [moved] })]);
    expect(at.findAll("tbody td").map((c) => c.text())).toEqual(["class of Fri 9 Oct", moved.told, moved.now, ""]);
    expect(await send()).toEqual({ kind: "tell", course: "C", section: "B" });
  });
});
