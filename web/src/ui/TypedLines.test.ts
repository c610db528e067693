import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import TypedLines from "./TypedLines.vue";

const lines = [
  { number: 1, state: "unit", said: "unit BA Basins" },
  { number: 3, state: "not-understood", said: "No date found." },
];

function typed(text: string, understood = lines) {
  return mount(TypedLines, {
    props: { id: "t", label: "Outline", placeholder: "", lines: understood, rows: 5, modelValue: text },
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

  it("says all that one line means, and goes to what is in doubt", async () => {
    const text = "Dec 18 last day, closes 12.30\nNov 3 Founders Day\nOct 2 fair\nOct 2 fair";
    const wrapper = typed(text, [
      { number: 1, state: "meets", said: "classes end" },
      { number: 1, state: "off", said: "12:30 to midnight: no class" },
      { number: 2, state: "doubtful", said: "It does not say whether classes meet." },
      { number: 3, state: "passed", said: "no day off" },
      { number: 4, state: "double", said: "said before" },
    ]);
    expect(wrapper.findAll(".line").map((l) => [l.find("i").text(), l.find("span").text()])).toEqual([
      ["✓", "classes end; 12:30 to midnight: no class"],
      ["▲", "It does not say whether classes meet."],
      ["–", "no day off"],
      ["–", "said before"],
    ]);
    const sum = wrapper.find(".sum").text();
    expect(sum).toContain("1 day off or run, 1 date put aside, 1 said twice");
    expect(sum).toContain("1 in doubt or not understood");
    await wrapper.find(".sum button").trigger("click");
    const field = wrapper.find("textarea").element as HTMLTextAreaElement;
    expect(text.slice(field.selectionStart, field.selectionEnd)).toBe("Nov 3 Founders Day");
  });
});
