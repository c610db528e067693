import type { Schemas } from "../api/client";

export type Repeat = Schemas["PlanRepeat"];
export type Rule = Schemas["PlanRule"];
/** When a notice is, as the plan file has it. */
export type When = Pick<Schemas["PlanNotice"], "allDay" | "begins" | "ends" | "repeats" | "instead">;

/** The ways in which a notice is dated, as the form offers them. */
export type Way = "day" | "days" | "time" | "repeats" | "work" | "words";

const plain = (rule?: Rule) => !!rule && typeof rule.at === "string" && Object.keys(rule).length === 1;
const dayOf = (rule?: Rule) => String(rule?.at ?? "").slice(0, 10);

/** Which of the ways says it all. */
export function wayOf(when: When): Way {
  if (when.repeats?.length) return "repeats";
  if (when.begins?.item && when.allDay && beforeWork(when)) return "work";
  if (!plain(when.begins) || (when.ends && !plain(when.ends))) return "words";
  if (!when.allDay) return "time";
  return when.ends && dayOf(when.ends) !== dayOf(when.begins) ? "days" : "day";
}

/** A span of days before a date of some work, up to it. */
function beforeWork({ begins, ends }: When): boolean {
  const known = ["item", "date", "plus", "in"];
  const simple = (rule: Rule) => Object.keys(rule).every((k) => known.includes(k));
  return (
    !!begins &&
    !!ends &&
    simple(begins) &&
    simple(ends) &&
    ends.item === begins.item &&
    (ends.date ?? "due") === (begins.date ?? "due") &&
    !ends.plus &&
    Number(begins.plus ?? 0) <= 0 &&
    (begins.in ?? "days") === "days"
  );
}

/** A span of so many days before a date of some work, up to it. */
export function tied(item: string, date: Rule["date"], days: number): When {
  const begins: Rule = { item, date };
  if (days > 0) Object.assign(begins, { plus: -days, in: "days" });
  return { allDay: true, begins, ends: { item, date } };
}

/** From one day to another; one day where they are the same or the second is empty. */
export function onDays(first: string, last = ""): When {
  const begins = { at: first && `${first}T00:00` };
  return last && last !== first ? { allDay: true, begins, ends: { at: `${last}T00:00` } } : { allDay: true, begins };
}

/** From one moment to another; the one moment where the second is empty. */
export function from(begins: string, ends = ""): When {
  const first = { at: begins };
  return ends && ends !== begins ? { begins: first, ends: { at: ends } } : { begins: first };
}

export const WEEKDAYS = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"] as const;

/** Weekdays of every so-manieth week, of a rule that says no more than that. */
export function weekly(rule: string): { days: string[]; every: number } | null {
  const parts = Object.fromEntries(rule.split(";").map((p) => p.split("=") as [string, string]));
  const known = Object.keys(parts).every((k) => ["FREQ", "INTERVAL", "BYDAY"].includes(k));
  if (!known || parts.FREQ !== "WEEKLY" || !parts.BYDAY) return null;
  return { days: parts.BYDAY.split(","), every: Number(parts.INTERVAL ?? 1) };
}
export function weeklyRule(days: readonly string[], every: number): string {
  const order = WEEKDAYS.filter((d) => days.includes(d)).join(",");
  return `FREQ=WEEKLY${every > 1 ? `;INTERVAL=${every}` : ""};BYDAY=${order}`;
}

/** Minutes from one time of day to a later one; 0 where there is none. */
export function between(from: string, to: string): number {
  const minutes = (t: string) => Number(t.slice(0, 2)) * 60 + Number(t.slice(3, 5));
  return from && to ? Math.max(0, minutes(to) - minutes(from)) : 0;
}
/** The time of day so many minutes later; empty for none. */
export function later(from: string, minutes: number): string {
  if (!from || !minutes) return "";
  const at = Number(from.slice(0, 2)) * 60 + Number(from.slice(3, 5)) + minutes;
  return at >= 1440 ? "" : `${String(Math.floor(at / 60)).padStart(2, "0")}:${String(at % 60).padStart(2, "0")}`;
}
