import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Change } from "../api/client";
import { type Way, takes, useWays } from "./useWays";

const answer = vi.hoisted(() => ({ found: null as unknown, asked: [] as unknown[] }));
vi.mock("../api/client", () => ({
  api: { POST: (_: string, options: { body: unknown }) => (answer.asked.push(options.body), answer.found) },
  ask: async (value: unknown) => {
    if (value instanceof Error) throw value;
    return value;
  },
}));

const step = (lesson: string) => ({ sentence: lesson, change: { kind: "leave-out", lesson } });
const way = (name: string, total: number, more: Partial<Way> = {}) =>
  ({ name, total, steps: [step("CH1"), step("CH2")], change: { kind: "together", name }, ...more }) as unknown as Way;
const flood = { kind: "add-closure" };
const asked = { course: "HYD 210", section: "A", change: flood as unknown as Change, noClassOn: "" };
const propose = vi.fn(async () => true);

function ways(found: Way[], change: unknown = flood) {
  answer.found = { change, chosen: "by-pin", units: [], ways: found };
  return useWays({ termId: 1, propose }, asked);
}

describe("ways out", () => {
  beforeEach(() => {
    answer.asked.length = 0;
    propose.mockClear();
  });

  it("chooses the one that is named to be chosen beforehand, and keeps what was chosen", async () => {
    const seen = ways([way("let-it-slide", 50), way("leave-it-out", 4, { steps: undefined }), way("by-pin", 20)]);
    await seen.look();
    expect(seen.chosen.value).toBe("by-pin");
    seen.chosen.value = "let-it-slide";
    seen.by.value = "2026-10-21";
    await seen.look();
    expect(seen.chosen.value).toBe("let-it-slide");
    expect(answer.asked[1]).toMatchObject({ by: "2026-10-21", change: flood, tidy: true });
  });

  it("leaves earlier classes open where that is unticked", async () => {
    const one = way("by-pin", 20);
    const seen = ways([one]);
    seen.held.value = false;
    await seen.look();
    expect(answer.asked[0]).toMatchObject({ held: false });
    await seen.propose(one);
    expect(propose).toHaveBeenCalledWith({ ...(one.change as unknown as Change), held: false }, "always");
  });

  it("takes a way whole, or those of its steps that are ticked", async () => {
    const one = way("by-pin", 20);
    const seen = ways([one]);
    await seen.look();
    expect(seen.changeOf(one)).toEqual({ kind: "together", name: "by-pin" });
    seen.toggle(one, 0);
    expect(seen.changeOf(one)).toEqual({ kind: "together", does: "", changes: [flood, step("CH2").change] });
    seen.toggle(one, 1);
    expect(seen.changeOf(one)).toEqual(flood);
    seen.toggle(one, 0);
    seen.toggle(one, 1);
    await seen.propose(one);
    expect(propose).toHaveBeenCalledWith({ kind: "together", name: "by-pin" }, "always");
  });

  it("proposes nothing where nothing is left to do", async () => {
    const one = way("tidy-the-weeks", 20);
    const seen = ways([one], null);
    await seen.look();
    seen.toggle(one, 0);
    seen.toggle(one, 1);
    expect(await seen.propose(one)).toBe(false);
    expect(propose).not.toHaveBeenCalled();
  });

  it("says that a plan is at its best, and what went wrong", async () => {
    const stands = way("let-it-slide", 30, { steps: [], change: undefined });
    const seen = ways([stands], null);
    await seen.look();
    expect(takes(stands)).toBe(false);
    expect(seen.best.value).toBe(true);
    answer.found = new Error("B is paced by minutes");
    await seen.look();
    expect(seen.wrong.value).toBe("B is paced by minutes");
  });
});
