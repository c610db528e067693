import type { OutlineRow } from "./outline";

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
