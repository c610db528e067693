import { mount } from "@vue/test-utils";
import { describe, expect, it, vi } from "vitest";
import { defineComponent, h, shallowRef } from "vue";
import { useStepKeys } from "./useStepKeys";

function set(proposed: boolean) {
  const state = {
    proposal: shallowRef(proposed ? ({} as never) : null),
    apply: vi.fn(async () => undefined),
    discard: vi.fn(),
    undo: vi.fn(async () => undefined),
    redo: vi.fn(async () => undefined),
  };
  const more = vi.fn();
  const page = mount(
    defineComponent({
      setup() {
        useStepKeys(state, more);
        return () => h("div", [h("input")]);
      },
    }),
    { attachTo: document.body },
  );
  const press = (key: string, on: Element = document.body, more: KeyboardEventInit = {}) =>
    on.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true, ...more }));
  return { state, more, page, press };
}

describe("the keys of every view", () => {
  it("undo and redo", () => {
    const { state, page, press } = set(false);
    press("z", document.body, { ctrlKey: true });
    press("Z", document.body, { ctrlKey: true, shiftKey: true });
    expect(state.undo).toHaveBeenCalledOnce();
    expect(state.redo).toHaveBeenCalledOnce();
    page.unmount();
    press("z", document.body, { ctrlKey: true });
    expect(state.undo).toHaveBeenCalledOnce();
  });

  it("apply and discard only what is proposed", () => {
    const none = set(false);
    none.press("a");
    expect(none.state.apply).not.toHaveBeenCalled();
    expect(none.more).toHaveBeenCalledOnce();
    none.page.unmount();
    const some = set(true);
    some.press("a");
    some.press("x");
    expect(some.state.apply).toHaveBeenCalledOnce();
    expect(some.state.discard).toHaveBeenCalledOnce();
    some.page.unmount();
  });

  it("are letters while one types", () => {
    const { state, page, press } = set(true);
    press("a", page.find("input").element);
    press("z", page.find("input").element, { ctrlKey: true });
    expect(state.apply).not.toHaveBeenCalled();
    expect(state.undo).not.toHaveBeenCalled();
    page.unmount();
  });
});
