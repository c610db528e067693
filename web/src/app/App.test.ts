import { flushPromises, mount } from "@vue/test-utils";
import { describe, expect, it, vi } from "vitest";
import { defineComponent, h, ref } from "vue";
import { createMemoryHistory, createRouter } from "vue-router";
import App from "./App.vue";

const broken = ref(false);
const View = defineComponent(() => () => {
  if (broken.value) throw new Error("a row without its day");
  return h("main", [
    "the wall",
    h("button", {
      onClick: () => {
        throw new Error("one action failed");
      },
    }),
  ]);
});

async function app() {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: "/:rest(.*)*", component: View }],
  });
  await router.push("/terms/1/wall");
  const wrapper = mount(App, {
    global: { plugins: [router], stubs: { Band: { template: "<header><slot /></header>" } } },
  });
  await flushPromises();
  return { wrapper, router };
}

describe("a view that fails", () => {
  it("says so in a plain sentence, keeps the band and offers to load again", async () => {
    vi.spyOn(console, "error").mockImplementation(() => undefined);
    const { wrapper, router } = await app();
    expect(wrapper.text()).toContain("the wall");
    broken.value = true;
    await flushPromises();
    expect(wrapper.text()).toContain("This view could not be drawn");
    expect(wrapper.text()).toContain("a row without its day");
    expect(wrapper.find("header").exists()).toBe(true);
    expect(wrapper.find("button").text()).toBe("Load again");
    broken.value = false;
    await router.push("/terms/1/dates");
    await flushPromises();
    expect(wrapper.text()).toContain("the wall");
  });

  it("stays where only an action in it failed", async () => {
    vi.spyOn(console, "error").mockImplementation(() => undefined);
    const { wrapper } = await app();
    await wrapper.find("button").trigger("click");
    expect(wrapper.text()).toContain("the wall");
  });
});
