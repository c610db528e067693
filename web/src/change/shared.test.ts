import { describe, expect, it } from "vitest";
import { alsoIn, courseOfShared, leaving, ofShared, sharedKey } from "./shared";

describe("what several courses have", () => {
  it("says in which others it is", () => {
    expect(alsoIn(undefined)).toBe("");
    expect(alsoIn(["MAP 115"])).toBe("also in MAP 115");
    expect(alsoIn(["MAP 115/A", "SOL 101", "HYD 210L"])).toBe("also in MAP 115 A, SOL 101 and HYD 210L");
    expect(courseOfShared("MAP 115/A")).toBe("MAP 115");
  });

  it("is named with its course, and leaves one of them", () => {
    const key = sharedKey("HYD 210", "notice:hut@2026-10-01");
    expect(ofShared(key)).toEqual({ course: "HYD 210", thing: "notice:hut@2026-10-01" });
    expect(ofShared("item:set-1")).toBeNull();
    expect(leaving("HYD 210", "notice:hut@2026-10-01", "MAP 115")).toEqual({
      kind: "leave-shared",
      course: "HYD 210",
      notice: "hut",
      leaves: "MAP 115",
    });
    expect(leaving("HYD 210", "item:set-1", "HYD 210")).toMatchObject({ item: "set-1", leaves: "HYD 210" });
  });
});
