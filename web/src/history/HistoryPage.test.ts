import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { Refused, server, settled } from "../test/stand";
import HistoryPage from "./HistoryPage.vue";

const line = (seq: number, sentence: string, more: object = {}) => ({
  seq,
  sentence,
  kind: "CHANGE",
  accountName: "I. Tolvanen",
  madeAt: "2026-10-07T12:00:00Z",
  ...more,
});
const HISTORY = {
  version: 3,
  termName: "Autumn 2026",
  undo: 2,
  lines: [
    line(1, "Begin the term", { kind: "BEGIN" }),
    line(2, "Move “L1”", { name: "As handed over" }),
    line(3, "Undo: Move “L2”", { kind: "UNDO" }),
  ],
};

async function page(answers: Record<string, () => unknown> = {}) {
  const asked = server({ "GET history": () => HISTORY, ...answers });
  const router = await routed("/terms/:termId/history", "/terms/7/history");
  const at = mount(HistoryPage, { global: { plugins: [router], stubs: frame } });
  await settled();
  const button = (label: string) => at.find(`[aria-label='${label}']`);
  return { at, asked, button };
}

describe("the history", () => {
  it("is read from the newest on, with names and who it was", async () => {
    const { at } = await page();
    const lines = at.findAll("li").map((l) => l.text());
    expect(lines[0]).toContain("Undo: Move “L2”. as it stands now");
    expect(lines[1]).toContain("As handed over: Move “L1”.");
    expect(lines[2]).toContain("I. Tolvanen");
    expect(at.findAll("li")[0]!.classes()).toContain("undone");
    expect(at.find("h1").text()).toBe("History of Autumn 2026");
  });

  it("takes the last step back on the version that is shown, and says so", async () => {
    const { at, asked } = await page({ "POST undo": () => ({ version: 4, sentence: "Undo: Move “L1”" }) });
    const [undo, redo] = at.findAll(".actions button");
    expect(redo!.attributes("disabled")).toBeDefined();
    await undo!.trigger("click");
    await settled();
    expect(asked[1]).toMatchObject({ key: "POST undo", body: { version: 3 } });
    expect(at.find("[role=status]").text()).toBe("Undo: Move “L1”.");
    expect(asked[2]!.key, "shown as it is then").toBe("GET history");
  });

  it("returns to a moment, but not to how it stands now", async () => {
    const { at, asked, button } = await page({
      "POST return": () => ({ version: 4, sentence: "Return to: “As handed over”" }),
    });
    expect(button("Return to how it stood after step 3").exists()).toBe(false);
    await button("Return to how it stood after step 2").trigger("click");
    await settled();
    expect(asked[1]).toMatchObject({ key: "POST return", body: { version: 3 } });
    expect(at.find("[role=status]").text()).toContain("As handed over");
  });

  it("gives a moment a name, beginning with the one it has", async () => {
    const { at, asked, button } = await page({ "PUT name": () => ({}) });
    await button("Name step 2").trigger("click");
    const field = at.find("[aria-label='Name of step 2']");
    expect((field.element as HTMLInputElement).value).toBe("As handed over");
    await field.setValue("Before the flood");
    await field.trigger("keydown", { key: "Enter" });
    await settled();
    expect(asked[1]).toMatchObject({ key: "PUT name", body: { name: "Before the flood" } });
    expect(at.find("[aria-label='Name of step 2']").exists()).toBe(false);
  });

  it("says what went wrong and shows the history as it is", async () => {
    const { at, asked } = await page({ "POST undo": () => new Refused("Somebody else changed it meanwhile.") });
    await at.find(".actions button").trigger("click");
    await settled();
    expect(at.find("[role=alert]").text()).toBe("Somebody else changed it meanwhile.");
    expect(asked.at(-1)!.key).toBe("GET history");
  });
});
