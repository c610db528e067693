import { mount } from "@vue/test-utils";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { defineComponent, h } from "vue";
import { type Run, usePaint } from "./usePaint";

const DAYS = ["2026-10-12", "2026-10-13", "2026-10-14"];

describe("painting over days", () => {
  const painted = vi.fn();
  const stretched = vi.fn();
  let brush: { value: Run | null };
  const Grid = defineComponent({
    setup() {
      brush = usePaint(painted, stretched).brush;
      return () =>
        h(
          "div",
          { class: "tg" },
          DAYS.map((d) =>
            h("div", { "data-date": d }, [h("i", { class: "end", "data-end": "3", "data-other": "2026-10-12" })]),
          ),
        );
    },
  });
  let wrapper: ReturnType<typeof mount>;
  const at = (n: number) => wrapper.findAll("[data-date]")[n]!.element;

  function pointer(type: string, n: number, more: Partial<PointerEventInit> = {}, target?: Element) {
    document.elementFromPoint = () => at(n);
    const event = new PointerEvent(type, { bubbles: true, pointerId: 1, pointerType: "mouse", button: 0, ...more });
    (target ?? at(n)).dispatchEvent(event);
  }
  beforeEach(() => {
    wrapper = mount(Grid, { attachTo: document.body });
  });
  afterEach(() => {
    painted.mockClear();
    stretched.mockClear();
  });

  it("gives a run, first day first, whichever way it was drawn", () => {
    pointer("pointerdown", 2);
    pointer("pointermove", 0);
    expect(brush.value).toEqual(["2026-10-12", "2026-10-14"]);
    pointer("pointerup", 0);
    expect(painted).toHaveBeenCalledWith(["2026-10-12", "2026-10-14"], false);
    expect(brush.value).toBeNull();
  });

  it("tells a press on one day", () => {
    pointer("pointerdown", 1);
    pointer("pointerup", 1);
    expect(painted).toHaveBeenCalledWith(["2026-10-13", "2026-10-13"], true);
  });

  it("stretches a run by its end and leaves its other end", () => {
    pointer("pointerdown", 1, {}, at(1).querySelector(".end")!);
    pointer("pointermove", 2);
    pointer("pointerup", 2);
    expect(stretched).toHaveBeenCalledWith(3, ["2026-10-12", "2026-10-14"]);
    expect(painted).not.toHaveBeenCalled();
  });

  it("lets go with Escape", () => {
    pointer("pointerdown", 0);
    pointer("pointermove", 2);
    document.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", bubbles: true }));
    pointer("pointerup", 2);
    expect(painted).not.toHaveBeenCalled();
  });

  it("paints with a finger only after it has rested", () => {
    vi.useFakeTimers();
    pointer("pointerdown", 0, { pointerType: "touch" });
    pointer("pointermove", 1, { pointerType: "touch" });
    pointer("pointerup", 1, { pointerType: "touch" });
    expect(painted).not.toHaveBeenCalled();
    pointer("pointerdown", 0, { pointerType: "touch" });
    vi.advanceTimersByTime(300);
    pointer("pointermove", 2, { pointerType: "touch" });
    pointer("pointerup", 2, { pointerType: "touch" });
    expect(painted).toHaveBeenCalledWith(["2026-10-12", "2026-10-14"], false);
  });
});
