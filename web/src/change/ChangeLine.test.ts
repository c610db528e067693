import { mount } from "@vue/test-utils";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { notedChanges } from "../test/stand";
import ChangeLine from "./ChangeLine.vue";

function line(more: object = {}) {
  const { state } = notedChanges();
  const at = mount(ChangeLine, {
    props: { state: state as never, held: false, loaded: true, ...more },
    slots: { default: "<i>what the view puts there</i>" },
  });
  return { at, state };
}

describe("the line below a view", () => {
  beforeEach(() => void vi.useFakeTimers());

  it("says what was done with a way back, and lets go of it after a while", async () => {
    const { at, state } = line();
    state.done.value = { text: "Move “L1”", undo: true };
    await at.vm.$nextTick();
    expect(at.find("[role=status]").text()).toContain("Move “L1”.");
    await at.find("[role=status] button").trigger("click");
    expect(state.undo).toHaveBeenCalledOnce();
    vi.advanceTimersByTime(12_000);
    await at.vm.$nextTick();
    expect(at.find("[role=status]").exists()).toBe(false);
  });

  it("lets a newer line stand its own time", async () => {
    const { at, state } = line();
    state.done.value = { text: "One", undo: true };
    await at.vm.$nextTick();
    vi.advanceTimersByTime(11_000);
    state.done.value = { text: "Two", undo: true };
    await at.vm.$nextTick();
    vi.advanceTimersByTime(2_000);
    await at.vm.$nextTick();
    expect(at.find("[role=status]").text()).toContain("Two");
  });

  it("offers to hold back from students what was made at once", async () => {
    const { at, state } = line();
    state.done.value = { text: "Move", undo: true, told: { kind: "first-plan-day" } };
    await at.vm.$nextTick();
    await at.find("button").trigger("click");
    expect(state.holdBack).toHaveBeenCalledOnce();
  });

  it("says that it works only when it takes a while", async () => {
    const { at, state } = line();
    state.busy.value = true;
    await at.vm.$nextTick();
    vi.advanceTimersByTime(299);
    await at.vm.$nextTick();
    expect(at.text()).not.toContain("Working");
    vi.advanceTimersByTime(1);
    await at.vm.$nextTick();
    expect(at.text()).toContain("Working…");
    state.busy.value = false;
    await at.vm.$nextTick();
    expect(at.text()).not.toContain("Working");
  });

  it("says what went wrong, and offers to load again only where nothing is shown", async () => {
    const shown = line();
    shown.state.problem.value = "The server does not answer.";
    await shown.at.vm.$nextTick();
    expect(shown.at.find("[role=alert]").text()).toContain("The server does not answer.");
    expect(shown.at.findAll("button")).toHaveLength(1);
    await shown.at.find("button").trigger("click");
    expect(shown.state.problem.value).toBe("");
    const blank = line({ loaded: false });
    blank.state.problem.value = "The server does not answer.";
    await blank.at.vm.$nextTick();
    await blank.at.findAll("button")[1]!.trigger("click");
    expect(blank.at.emitted("again")).toHaveLength(1);
  });

  it("leaves it to an open dialog to say what went wrong", async () => {
    const { at, state } = line({ held: true });
    state.problem.value = "Refused.";
    await at.vm.$nextTick();
    expect(at.find("[role=alert]").exists()).toBe(false);
  });
});
