import { mount } from "@vue/test-utils";
import { describe, expect, it } from "vitest";
import { frame, routed } from "../test/pages";
import { Refused, server, settled } from "../test/stand";
import SheetPage from "./SheetPage.vue";

const SHEET = {
  term: "Autumn 2026",
  course: "HYD 210",
  section: "A",
  first: "2026-10-14",
  last: "2026-10-16",
  classes: [
    {
      start: "2026-10-14T10:00:00",
      end: "2026-10-14T10:50:00",
      place: "Weir House 1",
      students: 24,
      lessons: ["CH3 Survey of a section"],
      steps: [{ at: "2026-10-14T10:10:00", minutes: 20, text: "Level the staff" }],
      notes: ["The key is at the porter."],
      links: [{ title: "Sheet", url: "https://sheets.example/ch3" }],
      due: ["Reading 12", "Field log 5"],
    },
    {
      start: "2026-10-16T10:00:00",
      end: "2026-10-16T10:50:00",
      place: "",
      students: 0,
      lessons: [],
      steps: [],
      notes: [],
      links: [],
      due: [],
    },
  ],
};

async function page(answer: unknown) {
  const asked = server({ "GET sheet": () => answer });
  const router = await routed("/terms/:termId/sheet", "/terms/7/sheet");
  const at = mount(SheetPage, { global: { plugins: [router], stubs: frame } });
  await settled();
  return { at, asked };
}

describe("the sheet of a substitute", () => {
  it("has each class with its place, lessons and what is due", async () => {
    const { at } = await page(SHEET);
    expect(at.find("h1").text()).toBe("HYD 210 A, 14–16 Oct");
    const [first, second] = at.findAll("section").map((s) => s.text());
    expect(first).toContain("Wed 14 Oct, 10:00 to 10:50, Weir House 1");
    expect(first).toContain("CH3 Survey of a section");
    expect(first).toContain("Due: Reading 12, Field log 5");
    expect(first).toContain("24 students");
    expect(first).toContain("10:10 20 min Level the staff");
    expect(first).toContain("The key is at the porter.");
    expect(at.find("section a").attributes("href")).toBe("https://sheets.example/ch3");
    expect(second).toContain("nothing planned");
    expect(second).not.toContain("Due");
  });

  it("says that there is no class, or why there is no sheet", async () => {
    expect((await page({ ...SHEET, classes: [] })).at.text()).toContain("There is no class on these days.");
    const { at } = await page(new Refused("That section is no longer there."));
    expect(at.find("[role=alert]").text()).toBe("That section is no longer there.");
  });
});
