import { describe, expect, it } from "vitest";
import type { ItemView } from "../api/client";
import { fitting, shownItems } from "./fit";

function item(shortName: string, more: Partial<ItemView> = {}): ItemView {
  return {
    id: shortName,
    unit: "U",
    title: shortName,
    shortName,
    kind: "homework",
    test: false,
    which: "main-due",
    time: "10:00:00",
    fixed: false,
    rolled: false,
    locked: false,
    proposed: false,
    links: [],
    ...more,
  };
}

describe("fitting work into a day", () => {
  it("shows all that fit", () => {
    expect(fitting([item("Set 1"), item("Log 1")], 200)).toBe(2);
  });
  it("leaves room for the count of what does not", () => {
    expect(fitting([item("Set 1"), item("Log 1"), item("Read 12")], 105)).toBe(2);
  });
  it("shows at least one", () => {
    expect(fitting([item("A very long name of work")], 20)).toBe(1);
  });
  it("shows an item on its main date only", () => {
    expect(shownItems([item("a"), item("b", { which: "opens" })]).map((i) => i.id)).toEqual(["a"]);
  });
});
