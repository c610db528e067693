import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { stubs } from "../test/stand";
import DateChoice from "./DateChoice.vue";
import type { Rule } from "./when";

const LESSONS = [
  { id: "L1", title: "Pools" },
  { id: "L2", title: "Riffles" },
];

function choice(which: "opens" | "due" | "closes", rule?: Rule, more: object = {}) {
  const at = mount(DateChoice, {
    props: {
      which,
      name: "Due",
      termId: 7,
      course: "C",
      lesson: "L2",
      lessons: LESSONS,
      given: [{ section: "A", date: "due", at: "2026-10-05T17:00:00", said: "fixed" }],
      modelValue: rule,
      "onUpdate:modelValue": (next: Rule | null | undefined): Promise<void> => at.setProps({ modelValue: next }),
      ...more,
    },
    global: { stubs: { ...stubs, RuleField: true } },
  });
  const ways = () => at.findAll("input[type=radio]").map((r) => (r.element as HTMLInputElement).checked);
  const choose = (n: number) => at.findAll("input[type=radio]")[n]!.trigger("change");
  const rules = () => at.props("modelValue") as Rule | undefined;
  return { at, ways, choose, rules };
}
const [DATE, CLASS, AFTER, NONE, MORE] = [0, 1, 2, 3, 4];

describe("when a thing opens, is due or closes", () => {
  it.each([
    [undefined, NONE],
    [{ at: "2026-10-05T17:00" }, DATE],
    [{ lesson: "L1", edge: "end" }, CLASS],
    [{ lesson: "L1", edge: "end", plus: 2, in: "teaching-days" }, AFTER],
    [{ own: "due", plus: 1, in: "weeks", time: "17:00" }, AFTER],
    [{ lesson: "L1", plus: -1, in: "days" }, MORE],
    [{ lesson: "L1", plus: 2, in: "sessions" }, MORE],
    [{ at: "2026-10-05T17:00", snapTo: "FR" }, MORE],
    [{ week: 5, weekday: "FR" }, MORE],
  ])("shows %j as the way that it is", (rule, way) => {
    expect(
      choice("due", rule as Record<string, unknown>)
        .ways()
        .indexOf(true),
    ).toBe(way);
  });

  it("begins on the day that it had", async () => {
    const { choose, rules } = choice("due", { lesson: "L1", edge: "start" });
    await choose(DATE!);
    expect(rules()).toEqual({ at: "2026-10-05T17:00" });
  });

  it("goes with its own lesson; it opens at the end of class and is due at the start", async () => {
    const due = choice("due");
    await due.choose(CLASS!);
    expect(due.rules()).toEqual({ lesson: "L2", edge: "start" });
    const opens = choice("opens");
    await opens.choose(CLASS!);
    expect(opens.rules()).toEqual({ lesson: "L2", edge: "end" });
  });

  it("is due two teaching days after class, and closes two days after it is due", async () => {
    const due = choice("due");
    await due.choose(AFTER!);
    expect(due.rules()).toEqual({ lesson: "L2", edge: "end", plus: 2, in: "teaching-days", time: "23:59" });
    const closes = choice("closes");
    await closes.choose(AFTER!);
    expect(closes.rules()).toEqual({ own: "due", plus: 2, in: "days" });
  });

  it("keeps the distance when it counts from something else", async () => {
    const { at, rules } = choice("due", { own: "opens", plus: 3, in: "days" });
    await at.find("[aria-label='Due, after what']").setValue("end:L1");
    expect(rules()).toEqual({ lesson: "L1", edge: "end", plus: 3, in: "days" });
    await at.find("[aria-label='Due, after what']").setValue("own:closes");
    expect(rules()).toEqual({ own: "closes", plus: 3, in: "days" });
    await at.find("[aria-label='Due, how many']").setValue("0");
    expect(rules()!.plus, "nothing after is with the class").toBe(1);
    await at.find("[aria-label='Due, counted in']").setValue("weeks");
    expect(rules()!.in).toBe("weeks");
  });

  it("needs a lesson to hang on one", () => {
    const { at } = choice("due", undefined, { lesson: "", lessons: [] });
    const off = at.findAll("input[type=radio]").map((r) => r.attributes("disabled") !== undefined);
    expect(off).toEqual([false, true, true, false, false]);
  });

  it("calls no date by what that means", () => {
    expect(choice("opens").at.text()).toContain("always open");
    expect(choice("due").at.text()).toContain("no date");
    expect(choice("closes").at.text()).toContain("never");
  });

  it("has no date when that is chosen, and shows what it gives in each section", async () => {
    const { at, choose, rules } = choice(
      "due",
      { at: "2026-10-05T17:00" },
      {
        given: [
          { section: "A", date: "due", at: "2026-10-05T17:00:00", said: "fixed", wrong: "before it opens" },
          { section: "B", date: "due", said: "there is no lesson “L9”" },
        ],
      },
    );
    expect(at.find(".gives").text()).toContain("Mon 5 Oct, 17:00");
    expect(at.find(".gives .look").text()).toBe("before it opens");
    expect(at.find(".gives").text()).toContain("there is no lesson “L9”");
    await choose(NONE!);
    expect(rules()).toBeUndefined();
  });
});
