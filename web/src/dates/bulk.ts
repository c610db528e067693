import type { Change, ChangeOf, DatesRow, Weekday } from "../api/client";
import type { Which } from "./table";

/** What is done to the dates of all chosen rows. */
export type How = "set" | "later" | "earlier" | "time" | "weekday" | "class" | "clear" | "fix" | "follow";

export const HOWS: readonly { how: How; name: string }[] = [
  { how: "set", name: "set" },
  { how: "later", name: "later by" },
  { how: "earlier", name: "earlier by" },
  { how: "time", name: "at the time" },
  { how: "weekday", name: "to the weekday" },
  { how: "class", name: "to a class" },
  { how: "fix", name: "make fixed" },
  { how: "follow", name: "let a lesson carry" },
  { how: "clear", name: "clear" },
];

export const UNITS = [
  ["teaching-days", "teaching days"],
  ["days", "days"],
  ["weeks", "weeks"],
  ["sessions", "classes"],
  ["hours", "hours"],
] as const;

export interface Bulk {
  how: How;
  dates: Which[];
  sections: string[];
  by: number;
  unit: NonNullable<ChangeOf<"redate">["in"]>;
  time: string;
  weekday: Weekday;
  snap: "on-or-after" | "on-or-before";
  /** The time on that weekday; empty where each keeps its own. */
  at: string;
  toClass: "next" | "previous";
}

/** The change that a bulk asks for; one part for each course that has chosen rows. */
export function bulkChange(bulk: Bulk, rows: readonly DatesRow[]): Change {
  const courses = [...new Set(rows.map((r) => r.course))];
  const changes = courses.flatMap((course) =>
    actions(bulk).map((action): ChangeOf<"redate"> => ({
      kind: "redate",
      course,
      items: rows.filter((r) => r.course === course).map((r) => r.id),
      ...(bulk.sections.length ? { sections: bulk.sections } : {}),
      dates: bulk.dates,
      ...action,
    })),
  );
  return changes.length === 1 ? changes[0]! : { kind: "together", does: "", changes };
}

/** What is done, one after the other. */
function actions(
  bulk: Bulk,
): Pick<ChangeOf<"redate">, "by" | "in" | "time" | "snapTo" | "snap" | "toClass" | "clear" | "fix" | "follow">[] {
  switch (bulk.how) {
    case "later":
      return [{ by: bulk.by, in: bulk.unit }];
    case "earlier":
      return [{ by: -bulk.by, in: bulk.unit }];
    case "time":
      return [{ time: bulk.time }];
    case "weekday":
      return [{ snapTo: bulk.weekday, snap: bulk.snap }, ...(bulk.at ? [{ time: bulk.at }] : [])];
    case "class":
      return [{ toClass: bulk.toClass }];
    case "clear":
      return [{ clear: true }];
    case "fix":
      return [{ fix: true }];
    default:
      return [{ follow: true }];
  }
}
