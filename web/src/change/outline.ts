import type { Schemas, WallView } from "../api/client";
import { threadOf } from "../draw/units";

export type OutlineItem = Schemas["OutlineItem"];
type OutlineLesson = Schemas["OutlineLesson"];
type OutlineNotice = Schemas["OutlineNotice"];

/** One line of the outline, at its depth. */
export interface OutlineRow {
  /** "unit:CH", "lesson:CH2", "item:read-12", "notice:hut". */
  key: string;
  what: "unit" | "lesson" | "item" | "notice";
  depth: number;
  /** Id of its unit, and of its lesson or the item it lies in; empty for none. */
  unit: string;
  lesson: string;
  within: string;
  title: string;
  code: string;
  date: string;
  last: string;
  state: string;
  /** The kind of work; of a unit its colour. */
  kind: string;
  minutes: number;
  moved: boolean;
  locked: boolean;
  /** Students are not told of it until it is given out. */
  draft?: boolean | null;
  look: string[];
  /** What it holds can be shown or not. */
  opens: boolean;
  open: boolean;
}

/** Lines under one heading. */
export interface OutlinePart {
  heading: string;
  look: boolean;
  rows: OutlineRow[];
}

export interface OutlineFilter {
  text: string;
  kind: string;
  marking: string;
  unit: string;
  /** "", "dated" or "undated". */
  dated: string;
}

export const NO_OUTLINE_FILTER: OutlineFilter = { text: "", kind: "", marking: "", unit: "", dated: "" };

export const filters = (f: OutlineFilter) => Object.values(f).some((v) => v.trim() !== "");

function has(text: string, f: OutlineFilter) {
  return text.toLowerCase().includes(f.text.trim().toLowerCase());
}

function fits(item: OutlineItem, f: OutlineFilter): boolean {
  return (
    has(item.title, f) &&
    (!f.kind || item.kind === f.kind) &&
    (!f.marking || item.marking === f.marking) &&
    (!f.unit || item.unit === f.unit) &&
    (!f.dated || (f.dated === "dated") === !!item.date)
  );
}

/** Every item of the outline, in the order of the plan. */
export function itemsOf(wall: WallView): OutlineItem[] {
  return wall.outline.units.flatMap((u) => [...u.items, ...u.lessons.flatMap((l) => l.items)]);
}

function itemRow(item: OutlineItem, depth: number, look: string[]): OutlineRow {
  return {
    key: `item:${item.id}`,
    what: "item",
    depth,
    unit: item.unit,
    lesson: item.lesson ?? "",
    within: item.within ?? "",
    title: item.title,
    code: "",
    date: item.date ?? "",
    last: "",
    state: "",
    kind: item.kind,
    minutes: item.minutes ?? 0,
    moved: item.moved,
    locked: item.locked,
    draft: item.draft,
    look,
    opens: false,
    open: false,
  };
}

function lessonRow(lesson: OutlineLesson, look: string[]): OutlineRow {
  return {
    key: `lesson:${lesson.id}`,
    what: "lesson",
    depth: 1,
    unit: lesson.unit,
    lesson: "",
    within: "",
    title: lesson.title,
    code: lesson.id,
    date: lesson.date ?? "",
    last: "",
    state: lesson.state,
    kind: "",
    minutes: 0,
    moved: lesson.moved,
    locked: lesson.state === "taught",
    look,
    opens: false,
    open: false,
  };
}

/** Every notice of the outline. */
export function noticesOf(wall: WallView): OutlineNotice[] {
  return [...wall.outline.notices, ...wall.outline.units.flatMap((u) => u.notices)];
}

function noticeRow(notice: OutlineNotice, depth: number, look: string[]): OutlineRow {
  return {
    key: `notice:${notice.id}`,
    what: "notice",
    depth,
    unit: notice.unit ?? "",
    lesson: "",
    within: "",
    title: notice.title,
    code: "",
    date: notice.date ?? "",
    last: "",
    state: notice.series ? `${notice.times} times` : "",
    kind: notice.own ? "own notice" : "notice",
    minutes: 0,
    moved: notice.moved,
    locked: false,
    look,
    opens: false,
    open: false,
  };
}

/** The outline in lines: what finds no class and what has no date first, then units with their lessons and work. */
export function outlineParts(wall: WallView, f: OutlineFilter, isOpen: (unit: string) => boolean): OutlinePart[] {
  const filtering = filters(f);
  const lost = wall.outline.noSession
    .filter(
      (l) =>
        (!f.unit || l.unit === f.unit) && !f.kind && !f.marking && f.dated !== "dated" && has(`${l.id} ${l.title}`, f),
    )
    .map((l) => ({ ...lessonRow(l, []), depth: 0 }));
  const undated = wall.outline.noDate.filter((i) => fits(i, f));
  // work that lies in other work without a date stands beneath it, in its unit
  const loose = undated.filter((i) => !i.within).map((i) => itemRow(i, 0, []));
  const parts: OutlinePart[] = [];
  if (lost.length) parts.push({ heading: "Finds no class", look: true, rows: lost });
  if (loose.length) parts.push({ heading: "No date yet", look: false, rows: loose });
  const notices = (list: readonly OutlineNotice[]) =>
    list.filter(
      (n) =>
        has(n.title, f) &&
        (!f.kind || f.kind === "notice") &&
        !f.marking &&
        (!f.dated || (f.dated === "dated") === !!n.date),
    );
  const rows: OutlineRow[] = [];
  for (const unit of wall.outline.units) {
    if (f.unit && unit.id !== f.unit) continue;
    const look = threadOf(unit.number, unit.colour);
    const open = filtering || isOpen(unit.id);
    const inside: OutlineRow[] = [];
    const work = (list: OutlineItem[], depth: number, within: string) => {
      for (const item of list.filter((i) => (i.within ?? "") === within)) {
        const children = list.some((i) => i.within === item.id);
        // an item without a date stands among those at the top, but for what holds others or lies in others
        if ((item.date || children || within) && (fits(item, f) || children)) inside.push(itemRow(item, depth, look));
        if (children) work(list, depth + 1, item.id);
      }
    };
    for (const lesson of unit.lessons) {
      const before = inside.length;
      const row = lessonRow(lesson, look);
      inside.push(row);
      work(lesson.items, 2, "");
      const plain = !f.kind && !f.marking && (!f.dated || (f.dated === "dated") === !!lesson.date);
      if (filtering && inside.length === before + 1 && !(plain && has(`${lesson.id} ${lesson.title}`, f))) inside.pop();
    }
    work(unit.items, 1, "");
    inside.push(...notices(unit.notices).map((n) => noticeRow(n, 1, look)));
    if (filtering && !inside.length && !(f.unit && !f.text)) continue;
    rows.push({
      key: `unit:${unit.id}`,
      what: "unit",
      depth: 0,
      unit: unit.id,
      lesson: "",
      within: "",
      title: unit.title,
      code: unit.code,
      date: unit.first ?? "",
      last: unit.last ?? "",
      state: "",
      kind: unit.colour,
      minutes: 0,
      moved: false,
      locked: false,
      draft: unit.draft,
      look,
      opens: true,
      open,
    });
    if (open) rows.push(...inside);
  }
  parts.push({ heading: "", look: false, rows });
  const free = f.unit ? [] : notices(wall.outline.notices);
  if (free.length) parts.push({ heading: "Notices", look: false, rows: free.map((n) => noticeRow(n, 0, [])) });
  return parts;
}

/** What is chosen, in a few words: "CH 2, SE 5, no date 1". */
export function chosenWords(rows: readonly OutlineRow[], wall: WallView): string {
  const code = new Map(wall.outline.units.map((u) => [u.id, u.code]));
  const by = new Map<string, number>();
  for (const row of rows) {
    const name = code.get(row.unit) ?? row.unit;
    by.set(name, (by.get(name) ?? 0) + 1);
  }
  return [...by].map(([name, n]) => `${name} ${n}`).join(", ");
}
