import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { notedWall, server, settled, stubs } from "../test/stand";
import { wallOf } from "../wall/testWall";
import WordsDialog from "./WordsDialog.vue";

const PLAN = {
  courses: [
    {
      code: "C",
      dayNotes: [
        { date: "2026-10-05", text: "Bring boots" },
        { date: "2026-10-06", section: "A", text: "Only A", own: true },
      ],
      weekNotes: [{ first: "2026-10-05", headline: "From slope to flow", targets: ["Read a gauge"] }],
    },
  ],
};

async function dialog(day: string) {
  server({ "GET plan": () => PLAN });
  const wall = wallOf();
  const { state, proposed, provide } = notedWall(wall);
  const at = mount(WordsDialog, { props: { wall, day }, global: { provide, stubs }, attachTo: document.body });
  await settled();
  const save = async () => {
    await at.find("form").trigger("submit");
    await settled();
    return proposed.at(-1)?.change;
  };
  const value = (id: string) => (at.find(id).element as HTMLInputElement).value;
  return { at, state, proposed, save, value };
}

describe("words on a day and its week", () => {
  it("shows what stands there and changes nothing that stays the same", async () => {
    const { at, value, save } = await dialog("2026-10-05");
    expect(value("#words-day")).toBe("Bring boots");
    expect(value("#words-week")).toBe("From slope to flow");
    expect(value("#words-targets")).toBe("Read a gauge");
    expect(await save()).toBeUndefined();
    expect(at.emitted("done")).toHaveLength(1);
  });

  it("puts the words of the day alone where the week's stay", async () => {
    const { at, save } = await dialog("2026-10-05");
    await at.find("#words-day").setValue("Bring boots and gloves");
    expect(await save()).toEqual({
      kind: "put-day-note",
      course: "C",
      note: { date: "2026-10-05", text: "Bring boots and gloves", own: false },
    });
  });

  it("puts both as one step, targets a line each", async () => {
    const { at, save } = await dialog("2026-10-05");
    await at.find("#words-day").setValue("");
    await at.find("#words-targets").setValue("Read a gauge\n\n  Draw a section ");
    expect(await save()).toMatchObject({
      kind: "together",
      changes: [
        { kind: "put-day-note", note: { text: "" } },
        { kind: "put-week-note", note: { first: "2026-10-05", targets: ["Read a gauge", "Draw a section"] } },
      ],
    });
  });

  it("begins with those of the section where only it has some", async () => {
    const { at, value, save } = await dialog("2026-10-06");
    expect(value("#words-day")).toBe("Only A");
    expect((at.find("[type=checkbox]").element as HTMLInputElement).checked).toBe(true);
    await at.find("#words-day").setValue("Only A, at the weir");
    expect(await save()).toMatchObject({ note: { section: "A", text: "Only A, at the weir", own: true } });
  });

  it("stays open with why where they are refused", async () => {
    const { at, state, save } = await dialog("2026-10-05");
    state.refuses = "The day lies outside the term.";
    await at.find("#words-day").setValue("x");
    await save();
    expect(at.find("[role=alert]").text()).toContain("outside the term");
    expect(at.emitted("done")).toBeUndefined();
  });
});
