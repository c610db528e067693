import type { Day } from "../api/client";
import { day, item, lesson, notice, session } from "../wall/testWall";
export { day, item, lesson, notice, session };
import type { CourseLine, CoursesView, TermLanes } from "./lay";

function line(letter: string, course: string, section: string, more: Partial<CourseLine> = {}): CourseLine {
  return {
    key: `1/${course}/${section}`,
    termId: 1,
    termName: "Autumn 2026",
    first: "2026-10-05",
    last: "2026-10-16",
    course,
    courseTitle: course,
    section,
    letter,
    meets: "Mon 10:00",
    finished: false,
    role: "own",
    ...more,
  };
}
export const A = "1/HYD 210/A";
export const B = "1/HYD 210/B";
export const M = "1/MAP 115/A";

/** Three sections of one term over two weeks, and the days that are given for each. */
export function courses(days: Record<string, readonly Day[]>, more: Partial<CoursesView> = {}): CoursesView {
  const lines = [line("A", "HYD 210", "A"), line("B", "HYD 210", "B"), line("M", "MAP 115", "A")];
  const term: TermLanes = {
    termId: 1,
    version: 4,
    termName: "Autumn 2026",
    first: "2026-10-05",
    last: "2026-10-16",
    lanes: lines.map((l) => ({
      key: l.key,
      course: l.course,
      courseTitle: l.course,
      section: l.section,
      weekLimit: 300,
      units: [{ id: "U", code: "U", title: "First", number: 0, colour: "" }],
      days: [...(days[l.key] ?? [])],
    })),
  };
  const week = (first: string, of: readonly string[]) => ({ first, last: of[6]!, days: of.slice(0, 5) });
  const from = (start: number) => Array.from({ length: 7 }, (_, n) => `2026-10-${String(start + n).padStart(2, "0")}`);
  return {
    today: "2026-10-07",
    columns: [1, 2, 3, 4, 5],
    weeks: [week("2026-10-05", from(5)), week("2026-10-12", from(12))],
    courses: lines,
    terms: [term],
    groups: [],
    ...more,
  };
}
export const ALL = { hidden: new Set<string>(), shown: new Set([A, B, M]), group: [] as string[] };
