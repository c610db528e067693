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
  const look = vi.fn(async () => {});
  const at = mount(PasteDialog, {
    global: {
      stubs: {
        ...stubs,
        TermSoFar: true,
        GiveList: { template: `<button @click="$emit('given', { text: 'x' })">give</button>` },
      },
      provide: {
        [TERM as symbol]: {
          termId: 7,
          propose,
          look,
          busy: ref(false),
          problem: ref(""),
          shown: ref(null),
          view: ref(null),
        },
      },
    },
  });
  await presses(at)("give");
  await settled();
  return { at, propose, look, press: presses(at) };
}

describe("days off from a list", () => {
  it("gathers doubts first and takes none of them by itself", async () => {
    const { at, propose, press } = await dialog();
    expect(at.find(".counts").text()).toBe("1 taken, 1 in doubt, 1 put aside, 1 not understood");
    expect(at.find(".doubts").text()).toContain("Founders Day");
    expect(at.findAll(".understood > ul > li").map((l) => l.classes()[0])).toEqual(["off", "passed", "not-understood"]);
    await press("leave all out");
    await press("Take 1 day off");
    expect(propose.mock.calls[0]).toMatchObject([{ changes: [{ closure: { reason: "Autumn break" } }] }]);
  });

  it("takes a doubt with one press, and nothing while one is left", async () => {
    const { at, propose, look, press } = await dialog();
    const take = () => at.find(".actions .go").element as HTMLButtonElement;
    expect(take().disabled).toBe(true);
    await at.find(".doubts li button").trigger("click");
    expect(take().disabled).toBe(false);
    expect(look).toHaveBeenLastCalledWith(expect.objectContaining({ kind: "together" }));
    await press("Take 2 days off");
    expect(propose.mock.calls[0]).toMatchObject([{ changes: [{}, { closure: { reason: "Founders Day" } }] }]);
  });

  it("ticks none and all at once, and puts other bounds of the term first", async () => {
    const bounds = {
      ...MARKED,
      number: 9,
      state: "doubtful",
      change: { kind: "set-term", term: { first: "2026-08-31", last: "2026-12-11" } },
    };
    const late = {
      ...off(8, "off", "Late holiday", "Wed 16 Dec"),
      closure: { first: "2026-12-16", last: "2026-12-16" },
    };
    const { at, propose, press } = await dialog([LINES[0]!, bounds, late]);
    await at.find(".doubts li button").trigger("click");
    await press("tick none");
    expect(at.find(".actions .go").text()).toBe("Take 0 days off");
    await press("tick all");
    await press("Take 3 days");
    const [change] = propose.mock.calls[0] as unknown as [{ changes: unknown[] }];
    expect(change.changes, "what would lie outside is left out").toHaveLength(2);
    expect(change).toMatchObject({ changes: [{ kind: "set-term" }, { kind: "add-closure" }] });
  });

  it("takes days that run as another weekday along", async () => {
    const { at, propose, press } = await dialog([...LINES, MARKED]);
    expect(at.find(".counts").text()).toBe("2 taken, 1 in doubt, 1 put aside, 1 not understood");
    expect(at.text()).toContain("Tue 20 Oct: runs as a Monday");
    await press("leave all out");
    await press("Take 2 days");
    expect(propose.mock.calls[0]).toMatchObject([{ changes: [{ kind: "add-closure" }, MARKED.change] }]);
  });
});
