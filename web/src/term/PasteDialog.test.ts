import { mount } from "@vue/test-utils";
import { defineComponent } from "vue";
import { describe, expect, it } from "vitest";
import { type Asked, Refused, notedChanges, server, settled, stubs } from "../test/stand";
import PasteDialog from "./PasteDialog.vue";
import { TERM } from "./useTerm";

const closure = (first: string, reason: string) => ({ first, last: first, reason });
const LINES = [
  { number: 1, text: "Dates 2026", state: "heading", said: "no date in it, passed over" },
  {
    number: 2,
    text: "Oct 12 Break",
    state: "off",
    said: "Mon 12 Oct",
    takes: "1 class",
    closure: closure("2026-10-12", "Break"),
  },
  {
    number: 3,
    text: "Nov 25",
    state: "overlap",
    said: "Wed 25 Nov; lies over line 2",
    takes: "2 classes",
    closure: closure("2026-11-25", ""),
  },
  {
    number: 4,
    text: "Oct 12 Break",
    state: "double",
    said: "the same days as line 2",
    closure: closure("2026-10-12", "Break"),
  },
  { number: 5, text: "sometime", state: "not-understood", said: "No date found." },
];
const GiveList = defineComponent({
  props: ["wrong"],
  emits: ["given"],
  template: `<div>
    <button class="text" @click="$emit('given', { text: 'Oct 12' })"></button>
    <button class="file" @click="$emit('given', { name: 'dates.csv', content: 'QUJD' })"></button>
    <p role="alert">{{ wrong }}</p></div>`,
});

async function dialog(read: (asked: Asked) => unknown, how = ".text") {
  const asked = server({ "POST read": read, "POST files": () => [] });
  const { state, proposed } = notedChanges();
  const at = mount(PasteDialog, { global: { provide: { [TERM as symbol]: state }, stubs: { ...stubs, GiveList } } });
  await at.find(how).trigger("click");
  await settled();
  const take = async () => {
    await at
      .findAll("button")
      .find((b) => b.text().startsWith("Take"))!
      .trigger("click");
    await settled();
  };
  return { at, asked, state, proposed, take };
}

describe("days off from a list", () => {
  it("shows each line with what was understood, and offers only what is a day off", async () => {
    const { at } = await dialog(() => ({ lines: LINES, differencesSaid: [] }));
    expect(
      at.findAll("input[type=checkbox]:checked"),
      "two days off; the other is the order of day and month",
    ).toHaveLength(2);
    const lines = at.findAll("ul > li").map((l) => l.text());
    expect(lines[1]).toBe("Break, Mon 12 Oct, 1 class");
    expect(lines[2]).toContain("Day off, Wed 25 Nov");
    expect(lines[3]).toContain("the same days as line 2");
    expect(at.find(".look").text()).toBe("No date found.");
  });

  it("takes what stays ticked as one step", async () => {
    const { at, proposed, take } = await dialog(() => ({ lines: LINES, differencesSaid: [] }));
    await at.findAll("ul input[type=checkbox]")[1]!.trigger("change");
    await take();
    expect(proposed[0]!.change).toEqual({
      kind: "together",
      does: "Take 1 day off",
      changes: [{ kind: "add-closure", closure: closure("2026-10-12", "Break") }],
    });
    expect(at.emitted("done")).toHaveLength(1);
  });

  it("keeps a file, so that it can be read again, and names it", async () => {
    const { asked, proposed, take } = await dialog(() => ({ lines: LINES, differencesSaid: [] }), ".file");
    await take();
    expect(proposed[0]!.change).toMatchObject({ does: "Take 2 days off from “dates.csv”" });
    expect(asked.find((a) => a.key === "POST files")!.body).toEqual({ name: "dates.csv", content: "QUJD" });
  });

  it("reads the days again in the other order", async () => {
    const { at, asked } = await dialog(() => ({ lines: [], differencesSaid: [] }));
    const before = (asked[0]!.body as { dayFirst: boolean }).dayFirst;
    await at.find("input[type=checkbox]").setValue(!before);
    await settled();
    expect((asked[1]!.body as { dayFirst: boolean }).dayFirst).toBe(!before);
  });

  it("tells of a file that was read before only what differs", async () => {
    const differences = { kind: "add-closure", closure: closure("2026-10-12", "Break") };
    const { at, proposed, take } = await dialog(
      () => ({ lines: [], differences, differencesSaid: ["Mon 12 Oct is new"] }),
      ".file",
    );
    expect(at.find(".problem").text()).toContain("Mon 12 Oct is new");
    await take();
    expect(proposed[0]!.change).toEqual(differences);
  });

  it("stays open and says why where it is refused or cannot be read", async () => {
    const { at, state, take } = await dialog(() => ({ lines: LINES, differencesSaid: [] }));
    state.refuses = "It lies outside the term.";
    await take();
    expect(at.find("[role=alert]").text()).toBe("It lies outside the term.");
    expect(at.emitted("done")).toBeUndefined();
    const unread = await dialog(() => new Refused("This is no list."));
    expect(unread.at.find("[role=alert]").text()).toBe("This is no list.");
  });
});
