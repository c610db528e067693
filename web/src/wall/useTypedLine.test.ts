import { describe, expect, it, vi } from "vitest";
import { ref } from "vue";
import { type LineRead, useTypedLine } from "./useTypedLine";
import type { WallState } from "../change/useWall";

/** A line whose readings are answered when the test says so. */
function line() {
  const asked: { text: string; answer: (wrong?: string) => void }[] = [];
  const proposed: string[] = [];
  const proposal = ref<unknown>(null);
  const state = {
    proposal,
    problem: ref(""),
    propose: vi.fn(async (change: { of: string }) => proposed.push(change.of) > 0),
  } as unknown as WallState;
  const typed = useTypedLine(
    state,
    () => "",
    (text) =>
      new Promise<LineRead>((resolve) =>
        asked.push({
          text,
          answer: (wrong) =>
            resolve({
              said: text,
              key: `item:${text}`,
              parts: [],
              wrong,
              change: wrong ? null : { of: text },
            } as never),
        }),
      ),
    () => undefined,
  );
  const answer = async (text: string, wrong?: string) => {
    for (const a of asked.filter((x) => x.text === text)) a.answer(wrong);
    await new Promise((resolve) => setTimeout(resolve));
  };
  return { typed, answer, proposed, proposal };
}

describe("a line that becomes a thing", () => {
  it("is taken by Enter as it stands, whatever was heard while it was typed", async () => {
    const { typed, answer, proposed } = line();
    typed.type("Read 30, due same da");
    await answer("Read 30, due same da", "not understood");
    typed.type("Read 30, due same day");
    expect(typed.enter()).toBe(true);
    expect(typed.text.value).toBe("");
    await answer("Read 30, due same day");
    expect(proposed).toEqual(["Read 30, due same day"]);
  });

  it("keeps what was typed since, and gives back what was refused", async () => {
    const { typed, answer, proposed } = line();
    typed.type("Quiz, 30 februry");
    typed.enter();
    typed.type("Beta set");
    await answer("Quiz, 30 februry", "not understood");
    expect(typed.text.value).toBe("Beta set");
    expect(typed.refused.value).toEqual([{ text: "Quiz, 30 februry", why: "not understood" }]);
    typed.enter();
    await answer("Beta set");
    expect(proposed).toEqual(["Beta set"]);
  });

  it("waits while something is proposed, in the order in which it was typed", async () => {
    const { typed, answer, proposed, proposal } = line();
    proposal.value = {};
    for (const text of ["Alpha", "Beta"]) {
      typed.type(text);
      typed.enter();
    }
    expect(typed.waiting.value.map((w) => w.text)).toEqual(["Alpha", "Beta"]);
    proposal.value = null;
    for (let turn = 0; turn < 4; turn++) {
      await answer("Beta");
      await answer("Alpha");
    }
    expect(proposed).toEqual(["Alpha", "Beta"]);
  });
});
