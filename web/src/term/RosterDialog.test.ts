import { mount } from "@vue/test-utils";
import { defineComponent } from "vue";
import { describe, expect, it } from "vitest";
import { type Asked, Refused, notedChanges, presses, server, settled, stubs } from "../test/stand";
import type { CalendarView } from "../api/client";
import RosterDialog from "./RosterDialog.vue";
import { TERM } from "./useTerm";

const WREN = { id: "1", name: "Wren Oakes", mail: "w@quillmarsh.example" };
const TOVE = { id: "2", name: "Tove Lindqvist", mail: "" };
const ABEL = { id: "3", name: "Abel Marsh", mail: "" };
const GiveList = defineComponent({
  props: ["wrong"],
  emits: ["given"],
  template:
    "<div><button class='give' @click='$emit(`given`, { text: `Abel Marsh` })'></button><p role='alert'>{{ wrong }}</p></div>",
});
const section = (course: string, code: string, partOf = "") => ({ course, section: code, partOf });

async function dialog(students: object[], answers: Record<string, (asked: Asked) => unknown> = {}, halves = true) {
  const asked = server({
    "GET roster": (a) => (a.query.get("course") === "HYD 210" && a.query.get("section") === "A" ? students : [TOVE]),
    ...answers,
  });
  const { state, proposed } = notedChanges();
  const sections = [section("HYD 210", "A"), section("HYD 210", "B")];
  if (halves) sections.push(section("HYD 210L", "L1", "HYD 210/A"), section("HYD 210L", "L2", "HYD 210/A"));
  const at = mount(RosterDialog, {
    props: { term: { sections } as unknown as CalendarView, course: "HYD 210", section: "A" },
    global: { provide: { [TERM as symbol]: state }, stubs: { ...stubs, GiveList } },
  });
  await settled();
  const press = presses(at);
  return { at, asked, state, proposed, press };
}

describe("the students of a section", () => {
  it("says that nobody is there yet, and that names stay here", async () => {
    const { at } = await dialog([]);
    expect(at.find("h2").text()).toBe("0 students");
    expect(at.text()).toContain("students’ pages never show them");
    expect(at.text()).not.toContain("Remove all");
  });

  it("takes those that are new on a list, and names who is missing from it", async () => {
    const CHANGE = { kind: "put-roster", course: "HYD 210", section: "A", students: [] };
    const { at, proposed, press } = await dialog([WREN], {
      "POST read": () => ({
        lines: [
          { number: 1, text: "Abel Marsh", state: "student", said: "Abel Marsh" },
          { number: 2, text: "???", state: "not-understood", said: "no name" },
        ],
        missing: [WREN],
        change: CHANGE,
      }),
    });
    await at.find(".give").trigger("click");
    await settled();
    expect(at.findAll(".understood li").map((l) => l.text())).toEqual(["+ Abel Marsh", "???: no name"]);
    expect(at.text()).toContain("On the roster and not on this list: Wren Oakes.");
    await press("Add 1 student");
    expect(proposed[0]!.change).toEqual(CHANGE);
  });

  it("removes one, and keeps the others with their addresses", async () => {
    const { proposed, press } = await dialog([WREN, TOVE]);
    await press("remove Tove Lindqvist");
    expect(proposed[0]!.change).toEqual({
      kind: "put-roster",
      course: "HYD 210",
      section: "A",
      students: [{ id: "1", name: "Wren Oakes", mail: "w@quillmarsh.example" }],
    });
  });

  it("removes all of a section only when that is said twice", async () => {
    const { at, proposed, press } = await dialog([WREN, TOVE]);
    await press("Remove all");
    expect(at.text()).toContain("These 2 people are removed; Undo brings them back.");
    await press("Keep them");
    expect(proposed).toHaveLength(0);
    await press("Remove all");
    await press("Remove them all");
    expect(proposed[0]!.change).toMatchObject({ students: [] });
  });

  it("shows who everyone of a course is before they go, in one step", async () => {
    const { at, proposed, press } = await dialog([WREN]);
    await press("Remove everyone of HYD 210");
    expect(at.text()).toContain("HYD 210 A Wren Oakes");
    expect(at.text()).toContain("HYD 210 B Tove Lindqvist");
    await press("Remove everyone");
    expect(proposed[0]!.change).toMatchObject({
      kind: "together",
      changes: [
        { section: "A", students: [] },
        { section: "B", students: [] },
      ],
    });
  });

  it("deals half-groups out evenly, in the order of the list", async () => {
    const { at, proposed, press } = await dialog([WREN, TOVE, ABEL, { ...ABEL, id: "4", name: "Ida Fenn" }]);
    await press("Half-groups");
    await press("Deal them out evenly");
    expect(at.findAll("select").map((s) => (s.element as HTMLSelectElement).value)).toEqual(["L1", "L1", "L2", "L2"]);
    await at.findAll("select")[3]!.setValue("L1");
    await press("Set the half-groups");
    const { changes } = proposed[0]!.change as {
      changes: { course: string; section: string; students: { id: string }[] }[];
    };
    expect(changes.map((c) => [c.course, c.section, c.students.map((s) => s.id).join()])).toEqual([
      ["HYD 210L", "L1", "1,2,4"],
      ["HYD 210L", "L2", "3"],
    ]);
  });

  it("offers no half-groups where there are none, and says what cannot be read", async () => {
    const { at } = await dialog([WREN], { "POST read": () => new Refused("This is no list of names.") }, false);
    expect(at.text()).not.toContain("Half-groups");
    await at.find(".give").trigger("click");
    await settled();
    expect(at.find("[role=alert]").text()).toBe("This is no list of names.");
  });

  it("gives out what is kept about one, and takes them out for good", async () => {
    let there: object[] = [WREN, TOVE];
    const { at, asked, state, press } = await dialog([], {
      "GET roster": () => there,
      "POST student-removal": () => ((there = [TOVE]), { version: 2 }),
    });
    await press("what is kept… about Wren Oakes");
    expect(at.find(".good a").attributes("href")).toBe("/api/terms/7/student-data?student=1");
    expect(at.text()).toContain("Undo does not bring that back.");
    await press("Take out for good");
    await settled();
    expect(asked.find((a) => a.key === "POST student-removal")!.body).toEqual({ version: 1, student: "1" });
    expect(state.load).toHaveBeenCalled();
    expect(at.find(".good").exists()).toBe(false);
    expect(at.text()).not.toContain("Wren Oakes");
  });
});
