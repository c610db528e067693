import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../api/client";
import StepsField from "./StepsField.vue";

function field(steps: Schemas["PlanStep"][], room = 50) {
  const at = mount(StepsField, {
    props: {
      modelValue: steps,
      room,
      "onUpdate:modelValue": (now: Schemas["PlanStep"][]): Promise<void> => at.setProps({ modelValue: now }),
    },
  });
  const now = () => at.props("modelValue");
  return { at, now };
}

describe("what happens in a lesson", () => {
  it("is held against the minutes that its classes have", async () => {
    const { at } = field([{ minutes: 20 }, { minutes: 25 }]);
    expect(at.find("[role=status]").text()).toBe("45 of 50 minutes, 5 free");
    await at.find("[aria-label='Step 2: minutes']").setValue("40");
    expect(at.find("[role=status]").text()).toBe("60 of 50 minutes, 10 over");
    expect(at.find("[role=status]").classes()).toContain("look");
    await at.find("[aria-label='Step 2: minutes']").setValue("30");
    expect(at.find("[role=status]").text()).toBe("50 of 50 minutes");
  });

  it("takes a new step as long as there is room, and a short one where there is none", async () => {
    const { at, now } = field([{ minutes: 45 }]);
    const add = at.findAll("button").at(-1)!;
    await add.trigger("click");
    expect(now().at(-1)).toEqual({ minutes: 5, text: "" });
    await add.trigger("click");
    expect(now().at(-1)!.minutes).toBe(5);
  });

  it("takes steps up, down and away", async () => {
    const { at, now } = field([
      { minutes: 1, text: "a" },
      { minutes: 2, text: "b" },
      { minutes: 3, text: "c" },
    ]);
    await at.find("[aria-label='Step 3 one up']").trigger("click");
    expect(now().map((s) => s.text)).toEqual(["a", "c", "b"]);
    await at.find("[aria-label='Step 1 one down']").trigger("click");
    expect(now().map((s) => s.text)).toEqual(["c", "a", "b"]);
    await at.find("[aria-label='Remove step 2']").trigger("click");
    expect(now().map((s) => s.text)).toEqual(["c", "b"]);
    expect(at.find("[aria-label='Step 1 one up']").attributes("disabled")).toBeDefined();
    expect(at.find("[aria-label='Step 2 one down']").attributes("disabled")).toBeDefined();
  });

  it("reads what is no number as none", async () => {
    const { at, now } = field([{ minutes: 10, text: "Look" }]);
    await at.find("[aria-label='Step 1: minutes']").setValue("");
    await at.find("[aria-label='Step 1: what happens']").setValue("Look again");
    expect(now()).toEqual([{ minutes: 0, text: "Look again" }]);
  });
});
