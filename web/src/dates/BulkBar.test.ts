import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { DatesRow } from "../api/client";
import { type Asked, Refused, notedChanges, server, settled, stubs } from "../test/stand";
import BulkBar from "./BulkBar.vue";
import { DATES } from "./useDates";

const row = (id: string, more: Partial<DatesRow> = {}) =>
  ({ course: "C", id, title: `Work ${id}`, kind: "homework", unit: "U", wrong: [], ...more }) as DatesRow;
const CHANGE = { kind: "put-dates", entries: [] };
interface Cells {
  cells: { course: string; item: string; sections: string[]; date: string; text: string }[];
}

function bar(rows: DatesRow[], reading: (asked: Cells) => unknown = () => new Refused("nobody asks")) {
  const asked = server({ "POST reading": (a: Asked) => reading(a.body as Cells) });
  const { state, proposed } = notedChanges();
  const at = mount(BulkBar, {
    props: { rows, sections: ["A", "B"] },
    global: { provide: { [DATES as symbol]: state }, stubs },
  });
  const how = (name: string) => at.find("[aria-label='What to do']").setValue(name);
  const send = async () => {
    await at.find("form").trigger("submit");
    await settled();
  };
  return { at, asked, state, proposed, how, send };
}
const understood = (said: string) => ({ understood: true, said });
const misread = (said: string) => ({ understood: false, said });

describe("one change for all chosen rows", () => {
  it("is asked for only once something is given", async () => {
    const { at, how } = bar([row("a")]);
    expect(at.find("button[type=submit]").attributes("disabled")).toBeDefined();
    await how("later");
    expect(at.find("button[type=submit]").attributes("disabled")).toBeUndefined();
    await at.find("[aria-label='How far']").setValue(0);
    expect(at.find("button[type=submit]").attributes("disabled")).toBeDefined();
  });

  it("moves the dates that are ticked, in one section where that is chosen", async () => {
    const { at, how, send, proposed } = bar([row("a"), row("b")]);
    await how("earlier");
    await at.find("[aria-label='How far']").setValue(3);
    await at.find("[aria-label='Counted in']").setValue("days");
    await at.findAll(".ticks input")[2]!.setValue(true);
    await at.find("select").setValue("B");
    await send();
    expect(proposed[0]).toMatchObject({
      gate: "always",
      change: {
        kind: "redate",
        course: "C",
        items: ["a", "b"],
        sections: ["B"],
        dates: ["due", "closes"],
        by: -3,
        in: "days",
      },
    });
  });

  it.each([
    ["class", { toClass: "next" }],
    ["clear", { clear: true }],
    ["fix", { fix: true }],
    ["follow", { follow: true }],
    ["time", { time: "23:59" }],
  ])("can “%s” as well", async (name, part) => {
    const { how, send, proposed } = bar([row("a")]);
    await how(name);
    await send();
    expect(proposed[0]!.change).toMatchObject({ kind: "redate", ...part });
  });

  it("reads words for each row, and says what the first comes to", async () => {
    const { at, asked, send, proposed } = bar([row("a"), row("b")], (body) => ({
      cells: body.cells.map(() => understood("Fri 9 Oct, 23:59")),
      change: CHANGE,
    }));
    await at.findAll("input.set")[1]!.setValue("+2, 23:59");
    await settled();
    expect((asked[0]!.body as Cells).cells.map((c) => [c.item, c.date, c.text])).toEqual([
      ["a", "due", "+2, 23:59"],
      ["b", "due", "+2, 23:59"],
    ]);
    expect(at.find("[role=status]").text()).toBe("“Work a”: Fri 9 Oct, 23:59");
    await send();
    expect(proposed[0]!.change).toEqual(CHANGE);
  });

  it("asks nothing of a notice's due date, and says that it has none", async () => {
    const { at, asked } = bar([row("notice:hut", { kind: "notice" }), row("a")], (body) => ({
      cells: body.cells.map(() => understood("ok")),
      change: CHANGE,
    }));
    expect(at.text()).toContain("1 is a notice and has no due date");
    await at.findAll("input.set")[1]!.setValue("fri");
    await settled();
    expect((asked[0]!.body as Cells).cells.map((c) => c.item)).toEqual(["a"]);
  });

  it("proposes nothing where no word is understood", async () => {
    const { at, send, proposed } = bar([row("a"), row("b")], (body) => ({
      cells: body.cells.map(() => misread("Write 3 nov.")),
    }));
    await at.findAll("input.set")[1]!.setValue("whenever");
    await settled();
    expect(at.find("[role=status]").text()).toBe("Write 3 nov.");
    expect(at.find("[role=status]").classes()).toContain("look");
    await send();
    expect(proposed).toHaveLength(0);
  });

  it("says of which rows nothing is understood, and keeps the words where it cannot be asked", async () => {
    const some = bar([row("a"), row("b")], () => ({ cells: [understood("ok"), misread("no lesson")], change: CHANGE }));
    await some.at.findAll("input.set")[1]!.setValue("next class");
    await settled();
    expect(some.at.find("[role=status]").text()).toBe("1 of 2: no lesson");
    await some.send();
    expect(some.proposed[0]!.change).toEqual(CHANGE);

    const none = bar([row("a")]);
    await none.at.findAll("input.set")[1]!.setValue("next class");
    await settled();
    await none.send();
    expect(none.state.problem.value).toBe("nobody asks");
    expect((none.at.findAll("input.set")[1]!.element as HTMLInputElement).value).toBe("next class");
  });
});
