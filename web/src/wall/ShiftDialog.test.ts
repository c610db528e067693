import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { notedWall, settled, stubs } from "../test/stand";
import ShiftDialog from "./ShiftDialog.vue";
import { lesson, wallOf } from "./testWall";

async function opened(picked: string[], run: [string, string] = ["2026-10-05", "2026-10-05"]) {
  const wall = wallOf();
  const days = wall.weeks[0]!.days;
  days[0] = { ...days[0]!, lessons: [lesson("L0", { taught: true }), lesson("L1")] };
  days[1] = { ...days[1]!, lessons: [lesson("L2")] };
  wall.sections = [wall.section.section, "Z"].map((section) => ({
    course: wall.section.course,
    courseTitle: "",
    section,
  }));
  const { state, proposed, provide } = notedWall(wall);
  const at = mount(ShiftDialog, {
    props: { wall, picked: new Set(picked), day: "2026-10-05", run, visible: false },
    global: { provide, stubs },
  });
  await at.setProps({ visible: true });
  const send = async () => {
    await at.find("form").trigger("submit");
    await settled();
    return proposed.at(-1)?.change;
  };
  return { at, wall, state, proposed, send };
}

describe("later or earlier", () => {
  it("moves what is chosen by one class in the section that is looked at", async () => {
    const { send, wall } = await opened(["lesson:L1", "item:quiz"]);
    expect(await send()).toEqual({
      kind: "shift",
      course: wall.section.course,
      section: wall.section.section,
      lessons: ["L1"],
      items: ["quiz"],
      by: 1,
      in: "sessions",
    });
  });

  it("counts in weekdays, earlier, in all sections and only these, as is said", async () => {
    const { at, send } = await opened(["lesson:L1"]);
    await at.find("#shift-by").setValue("5");
    expect(at.find("[aria-label='Counted in'] option").text()).toBe("classes");
    await at.find("[aria-label='Counted in']").setValue("weekdays");
    await at.findAll("[type=radio]")[1]!.setValue();
    for (const box of at.findAll("[type=checkbox]")) await box.setValue(true);
    const change = await send();
    expect(change).toMatchObject({ by: -5, in: "weekdays", onlyThese: true });
    expect(change).not.toHaveProperty("section");
  });

  it("begins with all from the day on where nothing is chosen", async () => {
    const { at, send } = await opened([]);
    expect((at.find("#shift-what").element as HTMLSelectElement).value).toBe("from");
    const change = await send();
    expect(change).toMatchObject({ from: "2026-10-05" });
    expect(change).not.toHaveProperty("lessons");
  });

  it("offers the lessons of a run of days that are still to be taught", async () => {
    const { at, send } = await opened([], ["2026-10-05", "2026-10-07"]);
    expect(at.findAll("#shift-what option").map((o) => o.text())[0]).toBe("the 2 lessons of Mon 5 Oct to Wed 7 Oct");
    expect(await send()).toMatchObject({ lessons: ["L1", "L2"] });
  });

  it("stays open with why where it is refused", async () => {
    const { at, state, send } = await opened(["lesson:L1"]);
    state.refuses = "Nothing that was chosen can move.";
    await send();
    expect(at.find("[role=alert]").text()).toBe("Nothing that was chosen can move.");
    expect(at.emitted("update:visible")).toBeUndefined();
  });
});
