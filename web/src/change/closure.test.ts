import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import ClosureFields from "./ClosureFields.vue";
import { draftOf, effects, newClosure, written } from "./closure";

describe("a day off while it is written", () => {
  it("carries only what was said", () => {
    expect(written({ ...newClosure(), reason: " Flood " }, "2026-10-09", "2026-10-09")).toEqual({
      first: "2026-10-09",
      last: "2026-10-09",
      reason: "Flood",
      kind: "other",
      noClass: true,
      planPauses: false,
      nothingDue: true,
    });
    const part = { ...newClosure(), from: "10:10", to: "10:35", only: ["HYD 210/A"], justInCase: true };
    expect(written(part, "2026-10-09", "2026-10-09")).toMatchObject({
      from: "10:10",
      to: "10:35",
      only: ["HYD 210/A"],
      justInCase: true,
    });
  });

  it("comes back from one that stands", () => {
    const stands = {
      first: "2026-09-24",
      last: "2026-09-24",
      from: "13:00:00",
      to: "14:15:00",
      reason: "Drill",
      kind: "event",
      noClass: true,
      planPauses: false,
      nothingDue: false,
      only: ["HYD 210/B"],
      justInCase: false,
      days: "Thu 24 Sep",
      proposed: false,
    };
    expect(draftOf(stands)).toMatchObject({ from: "13:00", to: "14:15", only: ["HYD 210/B"], reason: "Drill" });
  });

  it("says what follows from it", () => {
    expect(effects(newClosure())).toBe("no class, nothing due");
    expect(effects({ noClass: false, planPauses: false, nothingDue: false })).toBe("nothing follows from it");
  });

  it("is for whom it is said to be, one or several", async () => {
    const fields = mount(ClosureFields, {
      props: {
        id: "x",
        termId: 1,
        modelValue: newClosure(),
        sections: [
          { course: "C", section: "A" },
          { course: "C", section: "B" },
        ],
      },
    });
    await fields.find("#x-scope").setValue("C/B");
    expect(fields.emitted("update:modelValue")?.at(-1)?.[0]).toMatchObject({ only: ["C/B"] });
    await fields.find("#x-scope").setValue("several");
    const boxes = fields.findAll(".ticks")[0]!.findAll("input");
    expect(boxes).toHaveLength(3);
    await boxes[1]!.setValue(true);
    expect(fields.emitted("update:modelValue")?.at(-1)?.[0]).toMatchObject({ only: ["C/B", "C/A"] });
  });
});
