import { mount } from "@vue/test-utils";
import { describe, expect, it, vi } from "vitest";
import { ref } from "vue";
import { presses, server, settled, stubs } from "../test/stand";
import PasteDialog from "./PasteDialog.vue";
import { TERM } from "./useTerm";

const off = (number: number, state: string, reason: string, said: string) => ({
  number,
  text: `line ${number}`,
  state,
  said,
  takes: "no class",
  closure: { first: "2026-10-12", last: "2026-10-12", reason },
});
const MARKED = {
  number: 5,
  text: "Oct 20 follows a Monday schedule",
  state: "marked",
  said: "Tue 20 Oct: runs as a Monday",
  takes: null,
  closure: null,
  change: { kind: "mark-days", first: "2026-10-20", last: "2026-10-20", as: "runs-as", weekday: "MO" },
};
const LINES = [
  off(1, "off", "Autumn break", "Mon 12 Oct: no class"),
  { number: 2, text: "Oct 2 Career fair", state: "passed", said: "no day off", takes: null, closure: null },
  off(3, "doubtful", "Founders Day", "It does not say whether classes meet."),
  { number: 4, text: "31 Nov", state: "not-understood", said: "There is no such day.", takes: null, closure: null },
];

async function dialog(lines: object[] = LINES) {
  server({ "POST read": () => ({ lines, differences: null, differencesSaid: [] }) });
  const propose = vi.fn(async () => true);
  const at = mount(PasteDialog, {
    global: {
      stubs: { ...stubs, GiveList: { template: `<button @click="$emit('given', { text: 'x' })">give</button>` } },
      provide: { [TERM as symbol]: { termId: 7, propose, busy: ref(false), problem: ref("") } },
    },
  });
  await presses(at)("give");
  await settled();
  return { at, propose, press: presses(at) };
}

describe("days off from a list", () => {
  it("gathers doubts first and takes none of them by itself", async () => {
    const { at, propose, press } = await dialog();
    expect(at.find(".counts").text()).toBe("1 taken, 1 in doubt, 1 put aside, 1 not understood");
    expect(at.findAll("li").map((l) => l.classes()[0])).toEqual(["doubtful", "off", "passed", "not-understood"]);
    const boxes = at.findAll<HTMLInputElement>("li input");
    expect(boxes.map((b) => b.element.checked)).toEqual([false, true]);
    await press("Take 1 day off");
    expect(propose.mock.calls[0]).toMatchObject([{ changes: [{ closure: { reason: "Autumn break" } }] }]);
  });

  it("takes a doubt with one press", async () => {
    const { at, propose, press } = await dialog();
    await at.find("li.doubtful input").setValue(true);
    await press("Take 2 days off");
    expect(propose.mock.calls[0]).toMatchObject([{ changes: [{}, { closure: { reason: "Autumn break" } }] }]);
  });

  it("takes days that run as another weekday along", async () => {
    const { at, propose, press } = await dialog([...LINES, MARKED]);
    expect(at.find(".counts").text()).toBe("2 taken, 1 in doubt, 1 put aside, 1 not understood");
    expect(at.text()).toContain("Tue 20 Oct: runs as a Monday");
    await press("Take 2 days");
    expect(propose.mock.calls[0]).toMatchObject([{ changes: [{ kind: "add-closure" }, MARKED.change] }]);
  });
});
