import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { Refused, notedChanges, server, settled, stubs } from "../test/stand";
import FindingsPanel from "./FindingsPanel.vue";

const finding = (severity: string, section: string, more: object = {}) => ({
  code: "late",
  severity,
  about: "lesson",
  id: "L1",
  section,
  sentence: `${severity} of ${section}.`,
  ...more,
});
const MEND = { kind: "pin", course: "C", lesson: "L1", date: null };
const ALL = [
  finding("warning", "C/B"),
  finding("problem", "C/A", { mend: MEND }),
  finding("remark", "C/A", { about: "section", id: "" }),
];

async function panel(answer: unknown = ALL) {
  server({ "GET findings": () => answer });
  const { state, proposed } = notedChanges();
  const at = mount(FindingsPanel, { props: { state: state as never, here: "C/A" }, global: { stubs } });
  await settled();
  return { at, proposed };
}

describe("findings", () => {
  it("shows those of the section that is looked at first, counted by how grave they are", async () => {
    const { at } = await panel();
    expect(at.findAll("h2").map((h) => h.text())).toEqual(["C A", "C B"]);
    expect(at.find("[role=radiogroup]").text()).toContain("all 3");
    expect(at.find("[role=radiogroup]").text()).toContain("1 problem");
    expect(at.findAll("li")).toHaveLength(3);
  });

  it("shows only those of one kind when asked", async () => {
    const { at } = await panel();
    await at.find("input[value=warning]").setValue();
    expect(at.findAll("li").map((l) => l.find(".grow").text())).toEqual(["warning of C/B."]);
    expect(at.findAll("h2").map((h) => h.text())).toEqual(["C B"]);
  });

  it("proposes what mends a finding and closes", async () => {
    const { at, proposed } = await panel();
    await at.find("li button").trigger("click");
    await settled();
    expect(proposed).toEqual([{ change: MEND, gate: undefined }]);
    expect(at.emitted("done")).toHaveLength(1);
  });

  it("leads to the thing, where it is one", async () => {
    const { at } = await panel();
    expect(at.findAll("li a")).toHaveLength(2);
    expect(at.find("li a").attributes("href")).toBe("/terms/7/wall");
  });

  it("says that there is nothing to mend, and what went wrong", async () => {
    expect((await panel([])).at.text()).toContain("Nothing to mend.");
    const failed = (await panel(new Refused("The term is gone."))).at;
    expect(failed.find("[role=alert]").text()).toBe("The term is gone.");
  });
});
