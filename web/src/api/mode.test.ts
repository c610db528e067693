import { afterEach, describe, expect, it } from "vitest";
import { askedIn, tryIn, trying } from "./mode";

describe("the what-if of a window", () => {
  afterEach(() => tryIn(null));

  it("concerns its own term, and neither what-ifs nor the history", () => {
    expect(askedIn("/api/terms/7/wall")).toBeNull();
    tryIn({ termId: 7, id: 3, name: "Two days lost" });
    expect(askedIn("/api/terms/7/wall")).toBe(3);
    expect(askedIn("/api/terms/71/wall")).toBeNull();
    expect(askedIn("/api/terms/7/what-ifs/comparison")).toBeNull();
    expect(askedIn("/api/terms/7/history")).toBeNull();
  });

  it("is kept for the window until it is left", () => {
    tryIn({ termId: 7, id: 3, name: "Two days lost" });
    expect(sessionStorage.getItem("matsuri.what-if")).toContain('"id":3');
    tryIn(null);
    expect(trying.value).toBeNull();
    expect(sessionStorage.getItem("matsuri.what-if")).toBeNull();
  });
});
