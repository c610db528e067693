import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import TypedLines from "./TypedLines.vue";

const lines = [
  { number: 1, state: "unit", said: "unit BA Basins" },
  { number: 3, state: "not-understood", said: "No date found." },
];

function typed(text: string) {
  return mount(TypedLines, {
    props: { id: "t", label: "Outline", placeholder: "", lines, rows: 5, modelValue: text },
    attachTo: document.body,
  });
}

describe("typed lines and what was understood of them", () => {
  it("shows what was understood on the line it stands on", () => {
    const shown = typed("Basins\n\n  sometime").findAll(".line");
    expect(shown.map((l) => [l.find("i").text(), l.find("span").text()])).toEqual([
      ["✓", "unit BA Basins"],
      ["▲", "No date found."],
    ]);
    expect((shown[1]!.element as HTMLElement).style.top).toBe("48px");
  });

  it("counts, and goes to the first line that was not understood", async () => {
    const wrapper = typed("Basins\n\n  sometime");
    expect(wrapper.find(".sum").text()).toContain("1 unit line");
    await wrapper.find(".sum button").trigger("click");
    const field = wrapper.find("textarea").element as HTMLTextAreaElement;
    expect([field.selectionStart, field.selectionEnd]).toEqual([8, 18]);
  });

  it("hands on what is typed", async () => {
    const wrapper = typed("");
    await wrapper.find("textarea").setValue("Basins");
    expect(wrapper.emitted("update:modelValue")).toEqual([["Basins"]]);
  });
});
