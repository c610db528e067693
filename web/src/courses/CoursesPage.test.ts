import { mount } from "@vue/test-utils";
import { beforeEach, describe, expect, it } from "vitest";
import { createMemoryHistory, createRouter } from "vue-router";
import { USUAL, me } from "../api/me";
import { server, settled, stubs } from "../test/stand";
import CoursesPage from "./CoursesPage.vue";
import { A, B, M, courses, day, item, lesson, session } from "./testCourses";

const MON = "2026-10-05";
const VIEW = () =>
  courses({
    [A]: [day(MON, { sessions: [session(`${MON}T10:00:00`)], lessons: [lesson("CH2")], items: [item("set")] })],
    [B]: [day("2026-10-06", { items: [item("log")] })],
    [M]: [day(MON, { sessions: [session(`${MON}T09:00:00`)], lessons: [lesson("PA1")] })],
  });

async function page(by: "weeks" | "days", path: string, view = VIEW()) {
  const kept: unknown[] = [];
  const asked = server({
    "GET courses": () => view,
    "GET due": () => ({ today: view.today, lines: [] }),
    "PUT preferences": (a) => {
      kept.push(a.body);
      return { signIn: "t", displayName: "T", preferences: a.body };
    },
    "POST proposals": () => ({
      version: 4,
      sentence: "",
      does: "Move",
      moves: [],
      notes: [],
      appear: [],
      goAway: [],
      quiet: false,
      held: "",
      leavesUnit: false,
      altered: 0,
      late: [],
      courses: view.terms[0],
    }),
  });
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: "/:rest(.*)*", component: CoursesPage }],
  });
  await router.push(path);
  const at = mount(CoursesPage, { props: { by }, attachTo: document.body, global: { plugins: [router], stubs } });
  await settled();
  return { at, asked, kept };
}

describe("all courses at once", () => {
  beforeEach(() => {
    me.value = {
      signIn: "t",
      displayName: "T",
      preferences: { twelveHours: false, weekStart: "MO", display: USUAL },
    };
  });

  it("hides a course with one press, and keeps that", async () => {
    const { at, kept } = await page("weeks", "/courses");
    expect(at.find(`[data-date='${MON}']`).text()).toContain("PA1");
    await at.findAll(".side li input")[2]!.trigger("change");
    await settled();
    expect(at.find(`[data-date='${MON}']`).text()).not.toContain("PA1");
    expect(kept[0]).toMatchObject({ display: { hiddenCourses: [M] } });
    at.unmount();
  });

  it("opens a day with what is on it, and its keys choose and carry", async () => {
    const { at, asked } = await page("weeks", "/courses");
    const cell = at.find(`[data-date='${MON}']`);
    await cell.trigger("focusin");
    for (const key of [" ", " ", " "]) await cell.trigger("keydown", { key });
    expect(at.find(".slip").text()).toContain("HYD 210");
    expect(at.findAll(".slip .picked").map((p) => p.text())).toEqual(["Work set"]);
    await cell.trigger("keydown", { key: "m" });
    await cell.trigger("keydown", { key: "ArrowRight" });
    await at.find("[data-date='2026-10-06']").trigger("keydown", { key: "Enter" });
    await settled();
    expect(asked.find((a) => a.key === "POST proposals")!.body).toMatchObject({
      kind: "move",
      course: "HYD 210",
      items: ["set"],
      to: "2026-10-06",
    });
    at.unmount();
  });

  it("is a month of threads, or day by day", async () => {
    const month = await page("days", "/days");
    expect(month.at.find(".daystools").text()).toContain("Oct 2026");
    expect(month.at.findAll(".month .mlane").map((l) => l.find("b").text())).toEqual(["A", "B", "M"]);
    month.at.unmount();
    const agenda = await page("days", "/days?show=agenda");
    expect(agenda.at.find(".aday.now").text()).toContain("Wed 7 Oct");
    agenda.at.unmount();
  });

  it("says what to do where there is nothing", async () => {
    const none = await page("weeks", "/courses", { ...VIEW(), courses: [], terms: [] });
    expect(none.at.text()).toContain("There is no course yet");
    none.at.unmount();
    const view = VIEW();
    view.courses.forEach((c) => (c.finished = true));
    const over = await page("weeks", "/courses", view);
    expect(over.at.text()).toContain("No course is shown");
    over.at.unmount();
  });
});
