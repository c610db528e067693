import { mount } from "@vue/test-utils";
import { describe, expect, it, vi } from "vitest";
import { defineComponent } from "vue";
import { frame, routed } from "../test/pages";
import { presses, server, settled, stubs } from "../test/stand";
import WeekPage from "./WeekPage.vue";

const week = (number: number, first: string, headline = "", targets: string[] = []) => ({
  number,
  first,
  days: [first, "2026-10-06"],
  headline,
  targets,
});
const VIEW = {
  version: 3,
  findings: 2,
  course: "HYD 210",
  section: "A",
  sections: ["HYD 210/A", "HYD 210/B"],
  page: "/preview/7/class",
  people: [],
  publishing: { language: "en", twelveHours: false, linkAroundClass: false },
  places: ["Weir House 2"],
  classes: [],
  closed: [],
  today: "2026-10-06",
  week: 6,
  weeks: [
    week(5, "2026-09-28", "From stage to flow", ["Read a gauge https://gauges.example/5"]),
    week(6, "2026-10-05"),
  ],
};

const DateField = defineComponent({
  props: ["id", "modelValue"],
  template: "<input :id='id' @input='$emit(`update:modelValue`, $event.target.value)' />",
});

async function page() {
  const asked = server({
    "GET students": () => VIEW,
    "POST proposals": () => ({ quiet: true }),
    "POST links": () => ({ address: "http://localhost/see/days" }),
    "GET links": () => [],
    "GET sheet.html": () => "<table>",
    "GET sheet.txt": () => "words",
  });
  const router = await routed("/terms/:termId/week", "/terms/7/week");
  const at = mount(WeekPage, {
    global: { plugins: [router], stubs: { ...frame, ...stubs, DateField, ChangeLine: true } },
  });
  await settled();
  return { at, asked, router };
}

describe("the sheet of a week", () => {
  it("opens at this week, as the class sees it, and goes to others and to the plan", async () => {
    const { at, router } = await page();
    const src = () => at.find("iframe").attributes("src");
    expect(src()).toBe("/preview/7/class/sheet?week=6");
    await at.findAll("input[type=radio]")[1]!.setValue(true);
    expect(src()).toBe("/preview/7/class/sheet?week=6&teacher=true");
    await at.find("[aria-label='Week 5: From stage to flow']").trigger("click");
    await settled();
    expect(src()).toContain("week=5");
    expect(router.currentRoute.value.query.week).toBe("5");
    expect((at.find("#week-headline").element as HTMLInputElement).value).toBe("From stage to flow");
  });

  it("shows one day of mine, and gives its classes to whoever takes them", async () => {
    const { at, asked } = await page();
    await at.findAll("input[type=radio]")[2]!.setValue(true);
    expect(at.find("iframe").attributes("src")).toBe("/preview/day?day=2026-10-06");
    await presses(at)("Mon 5 Oct");
    expect(at.find("iframe").attributes("src")).toBe("/preview/day?day=2026-10-05");
    await at.find("#run-first").setValue("2026-10-05");
    await at.find("form").trigger("submit");
    await settled();
    expect(asked.find((a) => a.key === "POST links")!.body).toEqual({
      course: "HYD 210",
      section: "A",
      first: "2026-10-05",
      all: false,
    });
  });

  it("takes headline and targets in one go, begun from an earlier week's", async () => {
    const { at, asked } = await page();
    await presses(at)("as in week 5");
    await at.find("#week-targets").setValue("Read a gauge\n\n Say why it errs ");
    await at.find("form").trigger("submit");
    await settled();
    expect(asked.find((a) => a.key === "POST proposals")!.body).toEqual({
      kind: "put-week-note",
      course: "HYD 210",
      note: { first: "2026-10-05", headline: "From stage to flow", targets: ["Read a gauge", "Say why it errs"] },
    });
  });

  it("is copied with its links, and says where the clipboard is closed", async () => {
    const { at } = await page();
    const write = vi.fn();
    vi.stubGlobal("navigator", { clipboard: { write } });
    vi.stubGlobal("ClipboardItem", class {});
    await presses(at)("Copy");
    await settled();
    expect(write).toHaveBeenCalled();
    expect(at.find("[role=status]").text()).toContain("Copied");
    write.mockRejectedValue(new Error("closed"));
    await presses(at)("Copy");
    await settled();
    expect(at.find("[role=status]").text()).toContain("open the file instead");
  });
});
