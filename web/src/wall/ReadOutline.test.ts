import { mount } from "@vue/test-utils";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type Asked, Refused, notedWall, presses, server, settled, stubs } from "../test/stand";
import ReadOutline from "./ReadOutline.vue";
import { wallOf } from "./testWall";

const COLUMNS = [
  { number: 1, head: "Date", meaning: "date", samples: ["8/31", "9/2"] },
  { number: 2, head: "Topic", meaning: "lesson title", samples: ["Firn", "Depth"] },
  { number: 3, head: "Zettel", meaning: "not taken", samples: ["Blue"] },
];
const MEANINGS = ["date", "lesson title", "work", "not taken"];
const line = (number: number, state: string, said: string, doubt = "") => ({
  number,
  text: number ? `row ${number}` : "",
  state,
  said,
  doubt,
});
const LINES = [
  line(0, "doubtful", "", "Column 3 is not taken."),
  line(1, "heading", "heads"),
  line(2, "lesson", "BA1 1 session"),
  line(3, "doubtful", "BA2 1 session", "Sheet: Wed 2 Sep; plan: Wed 9 Sep."),
];
const CHANGE = { kind: "together", does: "Add 1 unit to C", changes: [] };

async function dialog(answer: (asked: Asked) => unknown = () => undefined) {
  const asked = server({
    "GET units": () => [],
    "POST reading": (one) =>
      answer(one) ?? {
        lines: LINES,
        columns: COLUMNS,
        meanings: MEANINGS,
        units: 1,
        lessons: 2,
        items: 0,
        redated: 0,
        change: CHANGE,
      },
  });
  const { proposed, provide } = notedWall(wallOf());
  const at = mount(ReadOutline, {
    props: { course: "C", section: "B" },
    global: { provide, stubs },
    attachTo: document.body,
  });
  await settled();
  const type = async (text: string) => {
    await at.find("textarea").setValue(text);
    vi.advanceTimersByTime(300);
    await settled();
  };
  const readings = () => asked.filter((a) => a.key === "POST reading").map((a) => a.body as Record<string, unknown>);
  return { at, proposed, type, readings, press: presses(at) };
}

describe("a sheet that is read", () => {
  beforeEach(() => void vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] }));
  afterEach(() => void vi.useRealTimers());

  it("shows its columns with what is in them, and asks before it adds", async () => {
    const { at, type, readings, proposed, press } = await dialog();
    await type("Date\tTopic\tZettel");
    expect(readings()[0]).toMatchObject({
      course: "C",
      section: "B",
      text: "Date\tTopic\tZettel",
      columns: [],
      rows: [],
    });
    expect(at.findAll("th select").map((s) => (s.element as HTMLSelectElement).value)).toEqual([
      "date",
      "lesson title",
      "not taken",
    ]);
    expect(at.find("table").text()).toContain("Firn");
    expect(at.find(".doubts").text()).toContain("2 in doubt");
    expect((at.find(".go").element as HTMLButtonElement).disabled).toBe(true);
    await press("take all as shown");
    await press("Add 1 unit, 2 lessons");
    expect(proposed[0]?.change).toEqual(CHANGE);
    expect(at.emitted("done")).toHaveLength(1);
  });

  it("is read again with another meaning of a column", async () => {
    const { at, type, readings } = await dialog();
    await type("x\ty");
    await at.findAll("th select")[2]!.setValue("work");
    await settled();
    expect(readings()[1]).toMatchObject({ columns: [{ number: 3, meaning: "work" }] });
  });

  it("is read again with what a row is, said by one key", async () => {
    const { at, type, readings } = await dialog();
    await type("x\ty");
    const rows = at.findAll(".doubts li");
    await rows[1]!.find("button").trigger("keydown", { key: "o" });
    await settled();
    expect(readings()[1]).toMatchObject({ rows: [{ number: 3, as: "nothing" }] });
    expect(at.findAll(".doubts li")).toHaveLength(1);
  });

  it("forgets what was said when another sheet comes", async () => {
    const { at, type, readings } = await dialog();
    await type("x\ty");
    await at.findAll("th select")[2]!.setValue("work");
    await type("another\tsheet");
    expect(readings().at(-1)).toMatchObject({ text: "another\tsheet", columns: [] });
  });

  it("sends a table that was copied from a document as it is", async () => {
    const { at, readings } = await dialog();
    const clipboardData = {
      getData: (type: string) => (type === "text/html" ? "<table><tr><td>Firn</td></tr></table>" : "Firn"),
    };
    const event = Object.assign(new Event("paste", { bubbles: true, cancelable: true }), { clipboardData });
    at.find("textarea").element.dispatchEvent(event);
    vi.useRealTimers();
    await settled();
    await settled();
    expect(event.defaultPrevented).toBe(true);
    expect(readings()[0]).toMatchObject({
      name: "pasted.html",
      content: btoa("<table><tr><td>Firn</td></tr></table>"),
    });
    expect((at.find("textarea").element as HTMLTextAreaElement).value).toBe("Firn");
  });

  it("says what a line of text is beside it, without columns", async () => {
    const { at, type } = await dialog(() => ({
      lines: [
        line(1, "unit", "unit BA Basins"),
        line(2, "doubtful", "Essay, no date yet", "“soon” was not understood."),
      ],
      columns: [],
      meanings: MEANINGS,
      units: 1,
      lessons: 0,
      items: 1,
      redated: 0,
      change: CHANGE,
    }));
    await type("Basins\n  Essay, due soon");
    expect(at.find("table").exists()).toBe(false);
    expect(at.findAll(".understood .line span").map((s) => s.text())).toEqual([
      "unit BA Basins",
      "Essay, no date yet “soon” was not understood.",
    ]);
  });

  it("says why a file was not read, and keeps what was typed", async () => {
    const { at, type } = await dialog(() => new Refused("“x.pdf” is locked with a password."));
    await type("Basins");
    expect(at.find("[role=alert]").text()).toContain("locked with a password");
    expect((at.find("textarea").element as HTMLTextAreaElement).value).toBe("Basins");
  });
});
