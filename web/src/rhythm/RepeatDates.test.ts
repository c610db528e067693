import { mount } from "@vue/test-utils";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Change } from "../api/client";
import { Refused, server, settled } from "../test/stand";
import RepeatDates from "./RepeatDates.vue";

const DATES = [
  { title: "Names 1", dates: { due: "2026-10-02T09:30:00" }, over: true },
  { title: "Names 2", dates: { opens: "2026-10-05T00:00:00", due: "2026-10-09T09:30:00" }, over: false },
  { title: "Names 3", dates: { due: "2026-10-16T09:30:00" }, off: "Autumn break", over: false },
];
const every = (n: number) => ({ kind: "put-rhythm", course: "C", rhythm: { id: "r", every: n } }) as unknown as Change;
const CHANGE = { kind: "put-rhythm", course: "C" } as unknown as Change;

describe("every date of what repeats", () => {
  beforeEach(() => void vi.useFakeTimers());
  async function shown(answer: unknown, change: Change | null = CHANGE) {
    const asked = server({ "POST repeats": () => answer });
    const at = mount(RepeatDates, { props: { termId: 7, course: "C", section: "A", change } });
    await vi.advanceTimersByTimeAsync(150);
    await settled();
    return { at, asked };
  }

  it("is said with its number before it is added", async () => {
    const { at } = await shown({ dates: DATES });
    expect(at.find("[role=status]").text()).toBe("3 dates in A, 1 before today, 1 on days off");
    const lines = at.findAll("li").map((l) => l.text());
    expect(lines[0]).toBe("Names 1: due Fri 2 Oct, 09:30");
    expect(lines[1]).toContain("opens Mon 5 Oct");
    expect(lines[2]).toContain("(Autumn break)");
    expect(at.findAll("li")[0]!.classes()).toContain("soft");
    expect(at.emitted("read")!.at(-1)).toEqual([{ dates: DATES }]);
  });

  it("waits until the hand rests, and asks once", async () => {
    const { at, asked } = await shown({ dates: DATES });
    for (const every of [1, 2, 3]) await at.setProps({ change: { ...CHANGE, every } as unknown as Change });
    await vi.advanceTimersByTimeAsync(150);
    await settled();
    expect(asked).toHaveLength(2);
    expect(asked[1]!.body).toMatchObject({ course: "C", section: "A", change: { every: 3 } });
  });

  it("says what is not understood in place of the dates", async () => {
    const { at } = await shown(new Refused("It never comes round."));
    expect(at.find(".look").text()).toBe("It never comes round.");
    expect(at.find("ol").exists()).toBe(false);
    expect(at.emitted("read")!.at(-1)).toEqual([null]);
  });

  it("shows nothing where too little is said", async () => {
    const { at, asked } = await shown({ dates: DATES }, null);
    expect(asked).toHaveLength(0);
    expect(at.text()).toBe("");
    expect(at.emitted("read")).toEqual([[null]]);
  });

  it("is of what is said last, not of what was still being asked when it changed", async () => {
    const answers: ((read: unknown) => void)[] = [];
    const asked: Promise<string>[] = [];
    vi.stubGlobal("fetch", (request: Request) => {
      asked.push(request.text());
      return new Promise<Response>((answered) =>
        answers.push((read) =>
          answered(new Response(JSON.stringify(read), { headers: { "Content-Type": "application/json" } })),
        ),
      );
    });
    const at = mount(RepeatDates, {
      props: { termId: 7, course: "HYD 210", section: "A", change: every(1) },
    });
    await vi.advanceTimersByTimeAsync(200);
    await at.setProps({ change: every(2) });
    // the first answer comes while the second question waits for more to be typed
    answers[0]!({ dates: [], over: 8 });
    await vi.advanceTimersByTimeAsync(50);
    expect(at.emitted("read")).toBeUndefined();
    await vi.advanceTimersByTimeAsync(200);
    answers[1]!({ dates: [], over: 3 });
    await vi.advanceTimersByTimeAsync(50);
    await settled();
    expect(at.emitted("read")).toEqual([[{ dates: [], over: 3 }]]);
    expect((await Promise.all(asked)).map((body) => /"every":(\d)/.exec(body)?.[1])).toEqual(["1", "2"]);
  });
});
