import { describe, expect, it } from "vitest";
import { type Rule, formOf, ruleOf } from "./part";

describe("a date of what a rhythm brings", () => {
  it("is the same there and back", () => {
    const rules: Rule[] = [
      { rhythm: "lab", edge: "start", plus: -7, in: "days" },
      { rhythm: "lab", edge: "end" },
      { rhythm: "lab", edge: "end", plus: 5, in: "days", time: "17:00" },
      { rhythm: "lab", edge: "start", plus: 1, in: "sessions" },
    ];
    for (const rule of rules) expect(ruleOf(formOf(rule)!, "lab")).toEqual(rule);
    expect(ruleOf(formOf(undefined)!, "lab")).toBeUndefined();
  });
  it("leaves alone what the form cannot say", () => {
    expect(formOf({ rhythm: "lab", edge: "end", snapTo: "FR" })).toBeNull();
    expect(formOf({ at: "2026-10-05T17:00" })).toBeNull();
  });
});
