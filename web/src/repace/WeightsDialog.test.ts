import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { ProposalView } from "../api/client";
import { notedWall, settled, stubs } from "../test/stand";
import { wallOf } from "../wall/testWall";
import WeightsDialog from "./WeightsDialog.vue";

const WEIGHTS = [
  { kind: "join", words: "two lessons in a class", cost: 40, usual: 40 },
  { kind: "leaveOut", words: "a lesson left out", cost: 90, usual: 100 },
];

function dialog() {
  const { state, proposed, provide } = notedWall(wallOf());
  const at = mount(WeightsDialog, { props: { course: "C", weights: WEIGHTS }, global: { provide, stubs } });
  const save = async () => {
    await at.find("form").trigger("submit");
    await settled();
  };
  const button = (text: string) => at.findAll("button").find((b) => b.text() === text)!;
  return { at, state, proposed, save, button };
}

describe("what giving way costs", () => {
  it("saves the figures as they stand, and says which are not the usual ones", async () => {
    const { at, proposed, save } = dialog();
    expect(at.text()).toContain("usually 100");
    await at.find("#cost-join").setValue("55");
    await save();
    expect(proposed[0]!.change).toEqual({ kind: "set-weights", course: "C", weights: { join: 55, leaveOut: 90 } });
    expect(at.emitted("changed")).toHaveLength(1);
  });

  it("goes back to the usual ones in one press", async () => {
    const { at, button } = dialog();
    await button("The usual ones").trigger("click");
    expect((at.find("#cost-leaveOut").element as HTMLInputElement).value).toBe("100");
    expect(at.text()).not.toContain("usually");
  });

  it("asks before odd figures are taken, and takes them or lets them be changed", async () => {
    const { at, state, save, button } = dialog();
    state.propose.mockImplementation(async () => {
      state.proposal.value = { notes: ["Leaving out is cheaper than joining."] } as unknown as ProposalView;
      return true;
    });
    await save();
    expect(at.emitted("changed")).toBeUndefined();
    expect(at.find("[role=alert]").text()).toContain("cheaper than joining");
    expect(at.find("#cost-join").attributes("disabled")).toBeDefined();
    await button("Change them").trigger("click");
    expect(state.discard).toHaveBeenCalledOnce();
    expect(at.find("#cost-join").attributes("disabled")).toBeUndefined();
    await save();
    await button("Take them all the same").trigger("click");
    await settled();
    expect(state.apply).toHaveBeenCalledOnce();
    expect(at.emitted("changed")).toHaveLength(1);
  });

  it("says why where they are refused", async () => {
    const { at, state, save } = dialog();
    state.refuses = "A cost is 0 or more.";
    await save();
    expect(at.find("[role=alert]").text()).toBe("A cost is 0 or more.");
    expect(at.emitted("changed")).toBeUndefined();
  });
});
