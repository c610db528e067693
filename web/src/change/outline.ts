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

/** Where things that are put on a line of the outline go, as a change; null where that means nothing. */
export function putOn(keys: readonly string[], target: OutlineRow, course: string) {
  const of = (what: string) => keys.filter((k) => k.startsWith(`${what}:`)).map((k) => k.slice(what.length + 1));
  const [units, lessons, items] = [of("unit"), of("lesson"), of("item")];
  if (keys.includes(target.key)) return null;
  const notices = of("notice");
  if (notices.length === 1 && keys.length === 1) {
    const before = target.what === "notice" ? target.key.slice("notice:".length) : undefined;
    return { kind: "arrange-notice", course, notice: notices[0], unit: target.unit || undefined, before };
  }
  const id = target.key.slice(target.key.indexOf(":") + 1);
  if (units.length === 1 && !lessons.length && !items.length) {
    return { kind: "arrange-unit", course, unit: units[0], before: target.unit };
  }
  if (lessons.length && !items.length) {
    return {
      kind: "arrange-lessons",
      course,
      lessons,
      unit: target.unit,
      before: target.what === "lesson" ? id : undefined,
    };
  }
  if (items.length && !lessons.length) {
    return {
      kind: "arrange-items",
      course,
      items,
      unit: target.unit,
      lesson: target.what === "lesson" ? id : target.lesson || undefined,
      within: target.within || undefined,
      before: target.what === "item" ? id : undefined,
    };
  }
  return null;
}

/** A notice moved by one among the notices; over the edge of its unit it goes into the next. */
function nudgeNotice(rows: readonly OutlineRow[], at: OutlineRow, way: "up" | "down", course: string) {
  const list = rows.filter((r) => r.what === "notice");
  const n = list.findIndex((r) => r.key === at.key);
  const next = list[way === "up" ? n - 1 : n + 1];
  if (!next) return null;
  const behind = list[n + 2];
  const before = way === "up" ? next : behind?.unit === next.unit ? behind : undefined;
  const id = (r: OutlineRow) => r.key.slice("notice:".length);
  return {
    kind: "arrange-notice",
    course,
    notice: id(at),
    unit: next.unit || undefined,
    before: before && id(before),
  };
}

/** A line moved by one among its like, or in and out, as a change; null where it can go no further. */
export function nudge(rows: readonly OutlineRow[], at: OutlineRow, way: "up" | "down" | "in" | "out", course: string) {
  if (at.what === "notice") return way === "up" || way === "down" ? nudgeNotice(rows, at, way, course) : null;
  const like = rows.filter((r) => r.what === at.what);
  const n = like.findIndex((r) => r.key === at.key);
  const idOf = (r: OutlineRow | undefined) => (r ? r.key.slice(r.key.indexOf(":") + 1) : undefined);
  const id = idOf(at)!;
  if (way === "up" || way === "down") {
    const next = way === "up" ? like[n - 1] : like[n + 1];
    if (!next) return null;
    if (at.what === "unit") {
      const before = way === "up" ? idOf(next) : idOf(like[n + 2]);
      return { kind: "arrange-unit", course, unit: id, before };
    }
    if (at.what === "lesson") {
      const behind = like[n + 2];
      const before = way === "up" ? idOf(next) : next.unit === behind?.unit ? idOf(behind) : undefined;
      return { kind: "arrange-lessons", course, lessons: [id], unit: next.unit, before };
    }
    const behind = like[n + 2];
    const same = (r: OutlineRow | undefined) =>
      r && r.unit === next.unit && r.lesson === next.lesson && r.within === next.within;
    const before = way === "up" ? idOf(next) : same(behind) ? idOf(behind) : undefined;
    return {
      kind: "arrange-items",
      course,
      items: [id],
      unit: next.unit,
      lesson: next.lesson || undefined,
      within: next.within || undefined,
      before,
    };
  }
  if (at.what !== "item") return null;
  if (way === "in") {
    const above = like[n - 1];
    if (!above || above.unit !== at.unit || above.key === `item:${at.within}`) return null;
    const within = above.within === at.within ? idOf(above) : above.within;
    return { kind: "arrange-items", course, items: [id], unit: at.unit, lesson: at.lesson || undefined, within };
  }
  if (at.within) {
    const holder = rows.find((r) => r.key === `item:${at.within}`);
    return {
      kind: "arrange-items",
      course,
      items: [id],
      unit: at.unit,
      lesson: at.lesson || undefined,
      within: holder?.within || undefined,
    };
  }
  return at.lesson ? { kind: "arrange-items", course, items: [id], unit: at.unit } : null;
}
