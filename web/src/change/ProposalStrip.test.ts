import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import type { Change, ProposalView } from "../api/client";
import ProposalStrip from "./ProposalStrip.vue";

const proposal = (more: Partial<ProposalView>) =>
  ({
    version: 1,
    does: "",
    sentence: "Later",
    quiet: false,
    notes: [],
    held: "",
    leavesUnit: false,
    altered: 0,
    late: [],
    moves: [],
    appear: [],
    goAway: [],
    ...more,
  }) as ProposalView;

function strip(change: Change, more: Partial<ProposalView> = {}) {
  return mount(ProposalStrip, { props: { proposal: proposal(more), busy: false, problem: "", seen: true, change } });
}
const box = (at: ReturnType<typeof strip>, label: string) =>
  at
    .findAll("label")
    .find((l) => l.text().includes(label))!
    .find("input");

describe("what can be said otherwise of a proposal", () => {
  it("leaves classes open that would count as held as planned", async () => {
    const at = strip(
      { kind: "shift", course: "C", by: 1 },
      { held: "15 classes of A up to Mon 5 Oct count as held as planned" },
    );
    await box(at, "15 classes").setValue(false);
    expect(at.emitted("vary")).toEqual([[{ held: false }]]);
    await at.setProps({ change: { kind: "shift", course: "C", by: 1, held: false }, proposal: proposal({}) });
    expect((box(at, "count as held").element as HTMLInputElement).checked).toBe(false);
  });

  it("concerns one section, or all", async () => {
    const shift = strip({ kind: "shift", course: "C", by: 1, section: "B" });
    await box(shift, "only in B").setValue(false);
    expect(shift.emitted("vary")).toEqual([[{ section: undefined, seenIn: "B" }]]);
    const drop = strip({ kind: "move", course: "C", to: "2026-10-09", seenIn: "A" });
    await box(drop, "only in A").setValue(true);
    expect(drop.emitted("vary")).toEqual([[{ section: "A", seenIn: undefined }]]);
    expect(strip({ kind: "add-closure", closure: { first: "2026-10-09" } }).text()).not.toContain("only in");
  });

  it("keeps a lesson in its unit where it would leave it", async () => {
    const at = strip({ kind: "move", course: "C", to: "2026-10-09", seenIn: "A" }, { leavesUnit: true });
    await box(at, "stays in its unit").setValue(true);
    expect(at.emitted("vary")).toEqual([[{ keepUnit: true }]]);
  });
});
