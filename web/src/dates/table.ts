import type { DatesCell, DatesRow, DatesView } from "../api/client";
import { DATES } from "../thing/dates";
import { clock, hourMinute, weekdayDay } from "../ui/say";

/** The three dates, in order. */
export type Which = (typeof DATES)[number][0];
export const WHICH = DATES.map(([which]) => which);
export const WHICH_NAME = Object.fromEntries(DATES) as Record<Which, string>;

/** A column of dates: the plan's, seen in the first section that a thing is for, or one section's. */
export interface DateColumn {
  key: string;
  which: Which;
  /** The section's place in its course; -1 for the plan. */
  section: number;
  /** The section's code; empty for the plan. */
  code: string;
  name: string;
}

/** A thing that is proposed or stands, and as it stands now where that differs. */
export interface TableRow {
  key: string;
  row: DatesRow;
  was: DatesRow | null;
}

/** A notice stands among work: it begins where work opens, ends where work closes, and is never due. */
export const isNotice = (row: DatesRow) => row.kind === "notice";

export const rowKey = (row: DatesRow) => `${row.course}/${row.id}`;

/** The columns of dates that can be shown for a course; only the plan's for several courses at once. */
export function columnsOf(sections: readonly string[]): DateColumn[] {
  // the plan's dates are seen in the first section, so its name stands with them
  const seen = sections.length > 1 ? ` in ${sections[0]}` : "";
  const plan = WHICH.map((which) => ({ key: which, which, section: -1, code: "", name: WHICH_NAME[which] + seen }));
  const own = sections.flatMap((code, section) =>
    WHICH.map((which) => ({
      key: `${which}:${code}`,
      which,
      section,
      code,
      name: section === 0 ? `${WHICH_NAME[which]} in ${code} only` : `${WHICH_NAME[which]} in ${code}`,
    })),
  );
  return sections.length > 1 ? [...plan, ...own] : plan;
}

/** The columns to begin with: the three dates, and when it is due in the other sections. */
export function usualColumns(sections: readonly string[]): string[] {
  const others = sections.length > 2 ? sections : sections.slice(1);
  return [...WHICH, ...others.map((code) => `due:${code}`)];
}

/** The place among a cell's dates that a column shows: the section's, or the first that it is for. */
export function placeOf(row: DatesRow, column: DateColumn): number {
  if (column.section >= 0) return column.section;
  const first = row[column.which].state.findIndex((s) => s !== "not-for");
  return Math.max(first, 0);
}

/** "Thu 8 Oct 23:59" of a date, of a notice's whole day without the time; what stands for no date otherwise. */
export function dateText(cell: DatesCell, place: number, which: Which, notice = false): string {
  const at = cell.at[place] as string | null | undefined;
  if (at && notice && at.includes("T00:00")) return weekdayDay(at);
  if (at) return `${weekdayDay(at)} ${clock(at)}`;
  const state = cell.state[place];
  if (state === "unresolved") return "no date found";
  if (state === "not-for") return "not for it";
  if (notice) return "";
  return which === "opens" ? "always open" : which === "due" ? "no date" : "never";
}

/** What stands behind a date: how it comes about, or that it is as in the plan. */
export function ruleText(cell: DatesCell, place: number, column: DateColumn): string {
  if (column.section < 0) return cell.rule ?? "";
  const own = (cell.own as (string | null)[] | undefined)?.[place];
  return own == null ? "" : own === "" ? "of its own" : `own: ${own}`;
}

/** A date as a spreadsheet takes it: "2026-10-08 23:59", or nothing. */
export function plainText(row: DatesRow, column: DateColumn): string {
  const at = row[column.which].at[placeOf(row, column)] as string | null | undefined;
  return at ? `${at.slice(0, 10)} ${hourMinute(at)}` : "";
}

export interface Filter {
  text: string;
  course: string;
  kind: string;
  marking: string;
  unit: string;
  /** "", "from" (due from now on), "none" (no due date). */
  when: string;
  wrong: boolean;
}

export const NO_FILTER: Filter = { text: "", course: "", kind: "", marking: "", unit: "", when: "", wrong: false };

/** When a row is due: in the section that is shown, or in any where that is none. */
function dueIn(row: DatesRow, section: number): string[] {
  const at = (isNotice(row) ? row.opens : row.due).at as (string | null)[];
  return (section < 0 ? at : [at[section]]).filter((d): d is string => !!d);
}

/** @param section the place of the section that is shown; -1 for all */
export function passes(row: DatesRow, filter: Filter, now: string, section = -1): boolean {
  const text = filter.text.trim().toLowerCase();
  const due = dueIn(row, -1);
  return (
    (!filter.course || row.course === filter.course) &&
    (!filter.kind || row.kind === filter.kind) &&
    (!filter.marking || row.marking === filter.marking) &&
    (!filter.unit || row.unit === filter.unit) &&
    (!filter.wrong || row.wrong.length > 0) &&
    (filter.when !== "from" || dueIn(row, section).some((d) => d >= now)) &&
    (filter.when !== "none" || due.length === 0) &&
    (!text || `${row.title} ${row.id} ${row.lesson ?? ""} ${row.kind}`.toLowerCase().includes(text))
  );
}

/** What the rows are ordered by: "plan", "title", "lesson", "wrong", or a column of dates; behind "-" the other way. */
export function sorted(rows: TableRow[], by: string, columns: readonly DateColumn[]): TableRow[] {
  if (by === "plan") return rows;
  const back = by.startsWith("-");
  const name = back ? by.slice(1) : by;
  const column = columns.find((c) => c.key === name);
  const value = ({ row }: TableRow): string => {
    if (column) return plainText(row, column) || "9999";
    if (name === "wrong") return String(9 - row.wrong.length);
    return name === "course"
      ? row.course
      : name === "title"
        ? row.title.toLowerCase()
        : name === "lesson"
          ? (row.lesson ?? "~")
          : row.kind;
  };
  const list = rows.map((row, n) => ({ row, n, value: value(row) }));
  list.sort((a, b) => (a.value < b.value ? -1 : a.value > b.value ? 1 : a.n - b.n) * (back ? -1 : 1));
  return list.map((x) => x.row);
}

/** The rows of the view, each with how it stands where that differs. */
export function rowsOf(shown: DatesView, stands: DatesView | null): TableRow[] {
  const was = new Map(stands && stands !== shown ? stands.rows.map((r) => [rowKey(r), r]) : []);
  return shown.rows.map((row) => {
    const key = rowKey(row);
    const before = was.get(key);
    return { key, row, was: before && before !== row ? before : null };
  });
}

/** What a row is grouped under; empty for no groups. */
export function groupOf(row: DatesRow, by: string, view: DatesView): string {
  if (by === "kind") return row.kind;
  if (by === "course") return row.course;
  if (by === "week") {
    const due = (isNotice(row) ? row.opens : row.due).at.find(Boolean) as string | undefined;
    const week = due && view.weeks.find((w) => due.slice(0, 10) >= w.first && due.slice(0, 10) <= w.last);
    return week ? `Week ${week.number}` : due ? "Outside the term" : "No due date";
  }
  if (by !== "unit") return "";
  const unit = view.courses.find((c) => c.code === row.course)?.units.find((u) => u.id === row.unit);
  return unit ? `${unit.code} ${unit.title}` : "No unit";
}

/** A line of the table: a row, or the heading of a group. */
export type TableLine = { heading: string; count: number } | TableRow;

/** Rows with headings before each group, in the order in which the groups come up. */
export function lines(rows: TableRow[], by: string, view: DatesView): TableLine[] {
  if (!by) return rows;
  const groups = new Map<string, TableRow[]>();
  for (const row of rows) {
    const group = groupOf(row.row, by, view);
    groups.set(group, [...(groups.get(group) ?? []), row]);
  }
  return [...groups].flatMap(([heading, list]) => [{ heading, count: list.length }, ...list]);
}
