import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { notedChanges, server, settled, stubs } from "../test/stand";
import SchoolPanel from "./SchoolPanel.vue";
import { TERM } from "./useTerm";

const line = (key: string, state: string) => ({
  key,
  state,
  said: `${key} said`,
  change: { kind: "remove-closure", first: "2026-10-21", last: "2026-10-21" },
});
const FOLLOWS = { name: "Quillmarsh", withdrawn: false, lines: [line("a", "new"), line("b", "by-hand")], left: 1 };

async function panel(school: object, more: Record<string, () => unknown> = {}) {
  const asked = server({
    "GET school-calendars": () => [
      { id: 3, name: "Ours", link: "http://x.example/school/abc", terms: [7], withdrawn: false },
      { id: 4, name: "Of another term", link: "http://x.example/school/def", terms: [9], withdrawn: false },
    ],
    "GET school": () => school,
    "GET terms": () => [
      { id: 7, name: "This", role: "own", archived: false },
      { id: 9, name: "Spring", role: "own", archived: false },
      { id: 10, name: "A colleague's", role: "reader", archived: false },
    ],
    ...more,
  });
  const { state, proposed } = notedChanges();
  const at = mount(SchoolPanel, {
    props: { term: { termId: 7, version: 1 } as never },
    global: { provide: { [TERM as symbol]: state }, stubs },
  });
  await settled();
  const button = (text: string) => at.findAll("button").find((b) => b.text().startsWith(text))!;
  return { at, asked, proposed, button };
}

describe("the school's calendar", () => {
  it("is taken line by line; what was changed by hand is not ticked", async () => {
    const { at, proposed, button } = await panel(FOLLOWS);
    expect(at.text()).toContain("1 line left as here");
    expect(at.findAll("li input[type=checkbox]").map((i) => (i.element as HTMLInputElement).checked)).toEqual([
      true,
      false,
    ]);
    await button("See what they do").trigger("click");
    expect(proposed[0]!.change).toMatchObject({ kind: "together", does: "Take 1 line from “Quillmarsh”" });
    await at.findAll("li input[type=checkbox]")[1]!.setValue(true);
    await button("See what they do").trigger("click");
    expect((proposed[1]!.change as { changes: unknown[] }).changes).toHaveLength(2);
  });

  it("is left as here", async () => {
    const { at, asked, button } = await panel(FOLLOWS, {
      "POST left": () => ({ ...FOLLOWS, lines: [], left: 2 }),
    });
    await button("Leave them").trigger("click");
    await settled();
    expect(asked.find((a) => a.key === "POST left")!.body).toEqual({ keys: ["a"] });
    expect(at.text()).toContain("in step");
  });

  it("withdrawn says that days stay, and of this term alone is said what is published", async () => {
    const { at } = await panel({ name: "Quillmarsh", withdrawn: true, lines: [], left: 0 });
    expect(at.text()).toContain("published no more: its days stay");
    expect(at.text()).toContain("Ours");
    expect(at.text()).not.toContain("Of another term");
  });

  it("is published of this term, and of others with it", async () => {
    const { at, asked } = await panel(
      { withdrawn: false, lines: [], left: 0 },
      { "POST school-calendars": () => ({ id: 5, name: "Q", link: "", terms: [7, 9], withdrawn: false }) },
    );
    expect(at.findAll(".also label").map((l) => l.text())).toEqual(["Spring"]);
    await at.find(".also input").setValue(true);
    await at.find("#school-name").setValue("Q");
    await at.findAll("form")[1]!.trigger("submit");
    await settled();
    expect(asked.find((a) => a.key === "POST school-calendars")!.body).toEqual({ name: "Q", terms: [7, 9] });
  });

  it("that a link does not lead to is said, and the link is kept", async () => {
    const { at } = await panel({ withdrawn: false, lines: [], left: 0 });
    await at.find("#school-link").setValue("http://x.example/school/gone");
    await at.find("form").trigger("submit");
    await settled();
    expect(at.find(".problem").exists()).toBe(true);
    expect((at.find("#school-link").element as HTMLInputElement).value).toContain("gone");
  });
});
