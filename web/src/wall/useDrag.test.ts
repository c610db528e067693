import { mount } from "@vue/test-utils";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { defineComponent, h } from "vue";
import { useDrag } from "./useDrag";

describe("carrying with a pointer", () => {
  const drop = vi.fn();
  let drag!: ReturnType<typeof useDrag>;
  let picked: ReadonlySet<string> = new Set();
  beforeEach(() => {
    vi.useFakeTimers();
    drop.mockClear();
    picked = new Set();
    mount(
      defineComponent({
        setup() {
          drag = useDrag(() => picked, drop);
          return () =>
            h("div", [
              h("span", { id: "thing", "data-drag": "item:a", title: "Set 1" }),
              h("div", { id: "day", "data-date": "2026-10-12" }),
            ]);
        },
      }),
      { attachTo: document.body },
    );
    document.elementFromPoint = () => document.getElementById("day");
  });

  function pointer(type: string, x: number, more: PointerEventInit = {}) {
    const at = type === "pointerdown" ? document.getElementById("thing")! : document.body;
    at.dispatchEvent(
      new PointerEvent(type, { bubbles: true, clientX: x, clientY: 0, pointerId: 1, pointerType: "mouse", ...more }),
    );
  }

  it("begins after a few pixels and drops on the day below", () => {
    pointer("pointerdown", 0);
    pointer("pointermove", 3);
    expect(drag.carried.value).toBeNull();
    pointer("pointermove", 20);
    expect(drag.carried.value?.label).toBe("Set 1");
    expect(drag.over.value).toBe("2026-10-12");
    pointer("pointerup", 20, { shiftKey: true });
    expect(drop).toHaveBeenCalledWith(["item:a"], "2026-10-12", { shift: true, alt: false });
    expect(drag.carried.value).toBeNull();
  });

  it("takes all that is chosen along", () => {
    picked = new Set(["item:a", "lesson:b"]);
    pointer("pointerdown", 0);
    pointer("pointermove", 20);
    expect(drag.carried.value?.label).toBe("2 things");
  });

  it("lets go with Escape", () => {
    pointer("pointerdown", 0);
    pointer("pointermove", 20);
    document.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape" }));
    pointer("pointerup", 20);
    expect(drop).not.toHaveBeenCalled();
  });

  it("waits for a finger to rest, and leaves scrolling to one that moves at once", () => {
    pointer("pointerdown", 0, { pointerType: "touch" });
    pointer("pointermove", 30, { pointerType: "touch" });
    vi.advanceTimersByTime(400);
    expect(drag.carried.value).toBeNull();
    pointer("pointerup", 30, { pointerType: "touch" });
    pointer("pointerdown", 0, { pointerType: "touch" });
    vi.advanceTimersByTime(260);
    expect(drag.carried.value).not.toBeNull();
    pointer("pointermove", 30, { pointerType: "touch" });
    pointer("pointerup", 30, { pointerType: "touch" });
    expect(drop).toHaveBeenCalledOnce();
  });
});
