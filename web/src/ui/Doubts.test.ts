import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { nextTick, ref } from "vue";
import Doubts, { type Doubt } from "./Doubts.vue";

const readings = [
  { as: "", says: "yes, so" },
  { as: "work", says: "work" },
  { as: "nothing", says: "out" },
];
const all: Doubt[] = [
  { key: "5 a", given: "5: Essay", asks: "Which day?", readings },
  { key: "9 b", given: "9: Field trip", asks: "A lesson?", readings },
];

function doubts() {
  const left = ref(all);
  const said: string[][] = [];
  const wrapper = mount(
    {
      components: { Doubts },
      setup: () => ({
        left,
        settle: (key: string, as: string) => {
          said.push([key, as]);
          left.value = left.value.filter((d) => d.key !== key);
        },
        all: () => (left.value = []),
      }),
      template: `<Doubts :doubts="left" label="In doubt" @settle="settle" @all="all" />`,
    },
    { attachTo: document.body },
  );
  return { wrapper, said };
}

describe("what is in doubt", () => {
  it("is settled by one key each, and the next one is stood on", async () => {
    const { wrapper, said } = doubts();
    (wrapper.find("li button").element as HTMLElement).focus();
    await wrapper.find("li button").trigger("keydown", { key: "w" });
    await nextTick();
    expect(said).toEqual([["5 a", "work"]]);
    expect(document.activeElement?.getAttribute("aria-label")).toContain("9: Field trip");
    await wrapper.find("li button").trigger("keydown", { key: "y" });
    expect(said[1]).toEqual(["9 b", ""]);
    expect(wrapper.find(".doubts").exists()).toBe(false);
  });

  it("goes on with arrows, and leaves other keys and combinations alone", async () => {
    const { wrapper, said } = doubts();
    (wrapper.find("li button").element as HTMLElement).focus();
    await wrapper.find("li button").trigger("keydown", { key: "ArrowDown" });
    expect(document.activeElement?.getAttribute("aria-label")).toContain("9: Field trip");
    await wrapper.find("li button").trigger("keydown", { key: "x" });
    await wrapper.find("li button").trigger("keydown", { key: "w", ctrlKey: true });
    expect(said).toEqual([]);
  });

  it("is taken as shown all at once, or one by a press", async () => {
    const { wrapper, said } = doubts();
    await wrapper.findAll("li")[1]!.findAll("button")[2]!.trigger("click");
    expect(said).toEqual([["9 b", "nothing"]]);
    await wrapper.find(".top button").trigger("click");
    expect(wrapper.find("li").exists()).toBe(false);
  });
});
