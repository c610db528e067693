import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { notedWall, server, settled, stubs } from "../test/stand";
import FactsDialog from "./FactsDialog.vue";
import { wallOf } from "./testWall";

const PLAN = {
  courses: [
    {
      code: "C",
      sections: [{ code: "A" }, { code: "B" }],
      units: [
        {
          id: "U",
          title: "Channels",
          lessons: [
            { id: "L1", title: "Pools", optional: true },
            { id: "L2", title: "Riffles" },
          ],
          items: [{ id: "i", kind: "quiz", title: "Quiz", points: 5, only: ["A"] }],
        },
        {
          id: "V",
          title: "Floods",
          lessons: [{ id: "L3", title: "Peaks" }],
          items: [{ id: "j", kind: "lab", title: "Lab" }],
        },
      ],
    },
  ],
};

async function dialog(...picked: string[]) {
  server({ "GET plan": () => PLAN });
  const { state, proposed, provide } = notedWall(wallOf());
  const at = mount(FactsDialog, {
    props: { wall: wallOf(), picked: new Set(picked) },
    global: { provide, stubs },
  });
  await settled();
  const send = async () => {
    await at.find("form").trigger("submit");
    await settled();
  };
  return { at, state, proposed, send };
}

describe("facts of many things at once", () => {
  it("offers what the chosen things have, and counts them", async () => {
    const { at } = await dialog("lesson:L1", "item:i", "item:j");
    expect(at.find("p.soft").text()).toContain("1 lesson, 2 of work.");
    expect(at.find("#facts-week").exists()).toBe(false);
    expect(at.find("#facts-kind").exists()).toBe(true);
  });

  it("takes a unit with everything in it", async () => {
    const { at } = await dialog("unit:U");
    expect(at.find("p.soft").text()).toContain("1 unit, 2 lessons, 1 of work.");
    expect(at.find("#facts-week").exists()).toBe(true);
  });

  it("proposes nothing before anything is given", async () => {
    const { at } = await dialog("lesson:L1");
    expect(at.find("button[type=submit]").attributes("disabled")).toBeDefined();
  });

  it("changes only what was given; what is no is left out", async () => {
    const { at, proposed, send } = await dialog("lesson:L1");
    await at.find("#facts-optional").setValue("no");
    await at.find("#facts-length").setValue("2");
    await send();
    expect(proposed[0]).toEqual({
      gate: "always",
      change: { kind: "put-lesson", course: "C", lesson: { id: "L1", title: "Pools", length: 2 } },
    });
    expect(at.emitted("done")).toHaveLength(1);
  });

  it("is one step for many things", async () => {
    const { at, proposed, send } = await dialog("item:i", "item:j");
    await at.find("#facts-points").setValue("10");
    await at.find("#facts-only").setValue("all");
    await at.find("#facts-marking").setValue("machine");
    await send();
    expect(proposed[0]!.change).toMatchObject({
      kind: "together",
      does: "Change 2 things",
      changes: [
        { kind: "put-item", item: { id: "i", kind: "quiz", title: "Quiz", points: 10, marking: "machine" } },
        { kind: "put-item", item: { id: "j", kind: "lab", title: "Lab", points: 10, marking: "machine" } },
      ],
    });
    const [first] = (proposed[0]!.change as { changes: { item: object }[] }).changes;
    expect(first!.item, "for all sections names none").not.toHaveProperty("only");
  });

  it("does not put a unit's lessons in twice", async () => {
    const { at, proposed, send } = await dialog("unit:V");
    await at.find("#facts-week").setValue("yes");
    await at.find("#facts-hidden").setValue("yes");
    await send();
    const { changes } = proposed[0]!.change as { changes: { kind: string; unit?: object }[] };
    expect(changes.map((c) => c.kind)).toEqual(["put-unit", "put-item"]);
    expect(changes[0]!.unit).toMatchObject({ id: "V", startsWeek: true, lessons: [], items: [] });
  });

  it("stays open and says why where it is refused", async () => {
    const { at, state, send } = await dialog("lesson:L2");
    state.refuses = "“Riffles” has been taught.";
    await at.find("#facts-reserve").setValue("yes");
    await send();
    expect(at.find("[role=alert]").text()).toBe("“Riffles” has been taught.");
    expect(at.emitted("done")).toBeUndefined();
  });
});
