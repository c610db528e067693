import { mount } from "@vue/test-utils";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { computed, defineComponent, h, ref, shallowRef } from "vue";
import type { Change, ProposalView, WallView } from "../api/client";
import { wallOf } from "./testWall";
import { useHands } from "./useHands";
import type { WallState } from "../change/useWall";

/** A wall whose changes are only noted. */
function setUp() {
  const wall = shallowRef<WallView | null>(wallOf());
  const proposal = shallowRef<ProposalView | null>(null);
  const proposed: Change[] = [];
  const state = {
    termId: 7,
    wall,
    proposal,
    pending: shallowRef<Change | null>(null),
    applying: ref(false),
    shown: computed(() => wall.value),
    propose: vi.fn(async (change: Change) => proposed.push(change) > 0),
    apply: vi.fn(),
    discard: vi.fn(),
    undo: vi.fn(),
    redo: vi.fn(),
  } as unknown as WallState;
  const context = {
    state,
    focus: ref("2026-10-05"),
    opened: ref(""),
    run: shallowRef<[string, string] | null>(null),
    picked: shallowRef<ReadonlySet<string>>(new Set()),
    dialog: ref<"" | "off" | "shift" | "move" | "keys" | "read">(""),
    editing: ref(""),
    wide: ref(false),
    keptWeek: ref(0),
    openWeek: computed(() => 1),
    focusDay: vi.fn(),
    find: vi.fn(),
    add: vi.fn(),
  };
  let hands!: ReturnType<typeof useHands>;
  const wrapper = mount(
    defineComponent({
      setup() {
        hands = useHands(context);
        return () => h("div", { "data-date": context.focus.value, tabindex: 0, onKeydown: hands.key });
      },
    }),
    { attachTo: document.body },
  );
  const press = (key: string, more: Partial<KeyboardEventInit> = {}) =>
    wrapper.element.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true, ...more }));
  return { context, state, proposed, press, wrapper, hands: () => hands };
}

describe("the wall by keyboard", () => {
  let t: ReturnType<typeof setUp>;
  beforeEach(() => (t = setUp()));
  afterEach(() => t.wrapper.unmount());

  it("walks, and opens the day", () => {
    t.press("ArrowRight");
    expect(t.context.focus.value).toBe("2026-10-06");
    t.press("Enter");
    expect(t.context.opened.value).toBe("2026-10-06");
  });

  it("stretches a run with Shift and lets it go with Escape", () => {
    t.press("ArrowRight", { shiftKey: true });
    t.press("ArrowRight", { shiftKey: true });
    expect(t.context.run.value).toEqual(["2026-10-05", "2026-10-07"]);
    t.press("d");
    expect(t.context.dialog.value).toBe("off");
    t.press("Escape");
    expect(t.context.run.value).toBeNull();
  });

  it("chooses the day's lesson and then nothing", () => {
    t.press(" ");
    expect([...t.context.picked.value]).toEqual(["lesson:L1"]);
    t.press(" ");
    expect(t.context.picked.value.size).toBe(0);
  });

  it("shifts by one class, with or without what follows", () => {
    t.press(".");
    t.press("<");
    expect(t.proposed).toEqual([
      { kind: "shift", course: "C", section: "A", lessons: ["L1"], by: 1, in: "sessions" },
      { kind: "shift", course: "C", section: "A", lessons: ["L1"], by: -1, in: "sessions", onlyThese: true },
    ]);
  });

  it("carries what is chosen and puts it down, or fixes it", () => {
    t.press("m");
    expect(t.hands().carrying.value).toEqual(["lesson:L1"]);
    t.press("ArrowDown");
    t.press("Enter");
    expect(t.proposed[0]).toMatchObject({ kind: "move", lessons: ["L1"], to: "2026-10-12" });
    expect(t.hands().carrying.value).toBeNull();
    t.context.picked.value = new Set(["lesson:L1"]);
    t.press("m");
    t.press("p");
    expect(t.proposed[1]).toMatchObject({ kind: "pin", lesson: "L1", date: "2026-10-12" });
  });

  it("lets go with Escape and changes nothing", () => {
    t.press("m");
    t.press("Escape");
    expect(t.hands().carrying.value).toBeNull();
    expect(t.proposed).toEqual([]);
  });

  it("undoes, redoes, applies and discards", () => {
    t.press("z", { ctrlKey: true });
    t.press("Z", { ctrlKey: true, shiftKey: true });
    expect(t.state.undo).toHaveBeenCalledOnce();
    expect(t.state.redo).toHaveBeenCalledOnce();
    t.press("a");
    expect(t.state.apply).not.toHaveBeenCalled();
    t.state.proposal.value = {} as ProposalView;
    t.press("a");
    t.press("x");
    expect(t.state.apply).toHaveBeenCalledOnce();
    expect(t.state.discard).toHaveBeenCalledOnce();
  });

  it("goes further when it is pressed again while that is proposed", () => {
    t.press(".");
    t.state.proposal.value = {} as ProposalView;
    t.state.pending.value = t.proposed[0]!;
    t.press(".");
    expect(t.proposed[1]).toEqual({ kind: "shift", course: "C", section: "A", lessons: ["L1"], by: 2, in: "sessions" });
    t.press(",");
    t.press(",");
    expect(t.state.discard).toHaveBeenCalled();
  });
  it("means another lesson from another day, and follows what is being applied", () => {
    t.press(".");
    t.state.proposal.value = {} as ProposalView;
    t.state.pending.value = t.proposed[0]!;
    t.context.focus.value = "2026-10-12";
    t.press(".");
    expect(t.proposed).toHaveLength(1);
    t.state.applying.value = true;
    t.press(".");
    expect(t.proposed[1]).toMatchObject({ lessons: ["L2"], by: 1 });
  });
  it("fixes the day's lesson on it with one key, and lets it go with the same", () => {
    t.press("p");
    expect(t.proposed).toEqual([{ kind: "pin", course: "C", section: "A", lesson: "L1", date: "2026-10-05" }]);
  });
  it("proposes to take out what is chosen, and shows it first", () => {
    t.context.picked.value = new Set(["lesson:L1", "item:i"]);
    t.press("Delete");
    expect(t.proposed[0]).toMatchObject({
      kind: "together",
      changes: [
        { kind: "remove-lesson", lesson: "L1" },
        { kind: "remove-item", item: "i" },
      ],
    });
    expect(vi.mocked(t.state.propose).mock.calls[0]![1]).toBe("always");
  });
  it("does not start another change while one is proposed", () => {
    t.state.proposal.value = {} as ProposalView;
    t.press(".");
    t.press("d");
    expect(t.proposed).toEqual([]);
    expect(t.context.dialog.value).toBe("");
  });

  it("finds, shows the keys and sets the wall wide", () => {
    t.press("/");
    t.press("?");
    t.press("w");
    expect(t.context.find).toHaveBeenCalledOnce();
    expect(t.context.dialog.value).toBe("keys");
    expect(t.context.wide.value).toBe(true);
  });

  it("leaves keys alone while something is typed", () => {
    const field = document.createElement("input");
    document.body.append(field);
    field.dispatchEvent(new KeyboardEvent("keydown", { key: "w", bubbles: true }));
    expect(t.context.wide.value).toBe(false);
    field.remove();
  });
});
