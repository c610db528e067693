import { mount } from "@vue/test-utils";
import { describe, expect, it, vi } from "vitest";
import { Refused, notedChanges, server, settled, stubs } from "../test/stand";
import GradeBookDialog from "./GradeBookDialog.vue";
import { TERM } from "./useTerm";

const book = (handIns: number, wrong: object[] = []) => ({ handIns, works: 4, students: 18, wrong });

async function dialog(answers: Record<string, () => unknown>) {
  const asked = server(answers);
  const at = mount(GradeBookDialog, {
    global: { provide: { [TERM as symbol]: notedChanges().state }, stubs },
  });
  await settled();
  const give = async (file: File) => {
    const input = at.find("input[type=file]");
    Object.defineProperty(input.element, "files", { value: [file], configurable: true });
    await input.trigger("change");
    await vi.waitFor(() => {
      if (!at.find("[role=alert]").exists() && asked.length < 2) throw new Error("not yet");
    });
    await settled();
  };
  return { at, asked, give };
}

describe("the grade book that stands in", () => {
  it("says what it knows", async () => {
    expect((await dialog({ "GET grade-book": () => book(0) })).at.text()).toContain("no hand-in yet");
    const { at } = await dialog({ "GET grade-book": () => book(61) });
    expect(at.find("[role=status]").text()).toContain("61 hand-ins of 4 pieces of work by 18 students.");
  });

  it("reads a file and says which lines it did not understand, twenty at most", async () => {
    const wrong = Array.from({ length: 25 }, (_, n) => ({ line: n + 2, text: "?", said: "no such student" }));
    const { at, asked, give } = await dialog({
      "GET grade-book": () => book(0),
      "PUT grade-book": () => book(3, wrong),
    });
    await give(new File(["course,work"], "hand-ins.csv"));
    expect(asked[1]!.body).toMatchObject({ name: "hand-ins.csv", content: btoa("course,work") });
    expect(at.find("[role=alert]").text()).toContain("25 lines not understood; the rest was taken.");
    expect(at.findAll("li")).toHaveLength(20);
    expect(at.find("[role=status]").text()).toContain("3 hand-ins");
  });

  it("does not send what is too large, and says what was refused", async () => {
    const { at, asked, give } = await dialog({
      "GET grade-book": () => book(2),
      "PUT grade-book": () => new Refused("It is no table."),
    });
    const large = new File(["x"], "all.csv");
    Object.defineProperty(large, "size", { value: 9_000_000 });
    await give(large);
    expect(at.find("[role=alert]").text()).toBe("“all.csv” has 9 MB; at most 5 MB are read.");
    expect(asked).toHaveLength(1);
    await give(new File(["x"], "song.csv"));
    await vi.waitFor(() => expect(at.find("[role=alert]").text()).toBe("It is no table."));
    expect(at.find("[role=status]").text(), "what it knew it knows still").toContain("2 hand-ins");
  });
});
