import type { Change } from "../api/client";

/** The change that takes a unit, a lesson, work or a notice out of a course. */
export function removal(what: string, course: string, id: string): Change {
  switch (what) {
    case "unit":
      return { kind: "remove-unit", course, unit: id };
    case "lesson":
      return { kind: "remove-lesson", course, lesson: id };
    case "item":
      return { kind: "remove-item", course, item: id };
    default:
      return { kind: "remove-notice", course, notice: id };
  }
}
