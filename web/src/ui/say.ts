import { twelveHours } from "../api/clock";

/** Days and times as they are shown; no date is worked out here. */

const WEEKDAYS = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"];
const LONG = ["Sunday", "Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday"];
const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

interface Parts {
  year: number;
  month: number;
  day: number;
  weekday: number;
}
/** A term has some hundred days, each said often. */
const known = new Map<string, Parts>();

function parts(iso: string): Parts {
  const date = iso.slice(0, 10);
  let found = known.get(date);
  if (!found) {
    const [year = 0, month = 1, day = 1] = date.split("-").map(Number);
    found = { year, month, day, weekday: new Date(Date.UTC(year, month - 1, day)).getUTCDay() };
    known.set(date, found);
  }
  return found;
}

/** "Oct", of "2026-10" */
export const monthName = (month: string): string => MONTHS[Number(month.slice(5, 7)) - 1] ?? "";

/** "9 Oct" */
export function dayMonth(iso: string): string {
  const p = parts(iso);
  return `${p.day} ${MONTHS[p.month - 1]}`;
}

/** "Fri 9 Oct" */
export function weekdayDay(iso: string): string {
  return `${WEEKDAYS[parts(iso).weekday]} ${dayMonth(iso)}`;
}

/** "Fri 9" */
export function weekdayNumber(iso: string): string {
  const p = parts(iso);
  return `${WEEKDAYS[p.weekday]} ${p.day}`;
}

/** The day's number, with its month on the first of one. */
export function numberOf(iso: string): string {
  const p = parts(iso);
  return p.day === 1 ? `1 ${MONTHS[p.month - 1]}` : String(p.day);
}

/** "31 Aug–16 Sep", "7–21 Oct" */
export function span(first: string, last: string): string {
  const a = parts(first);
  const b = parts(last);
  if (first === last) return dayMonth(first);
  return a.month === b.month && a.year === b.year
    ? `${a.day}–${dayMonth(last)}`
    : `${dayMonth(first)}–${dayMonth(last)}`;
}

/** "10:00" of a time or a date and time: as values are written. */
export function hourMinute(time: string): string {
  return (time.includes("T") ? time.slice(11) : time).slice(0, 5);
}

/** "17:00" of a time or a date and time, or "5:00 pm" for who reads it so. */
export function clock(time: string): string {
  const at = hourMinute(time);
  if (!twelveHours.value || !at) return at;
  const hour = Number(at.slice(0, 2)) % 24;
  return `${hour % 12 || 12}:${at.slice(3)} ${hour < 12 ? "am" : "pm"}`;
}

/** "Fri 9 Oct, 10:00" */
export function moment(iso: string): string {
  return `${weekdayDay(iso)}, ${clock(iso)}`;
}

/** The weekday of a date, 1 to 7, Monday first. */
export function weekdayOf(iso: string): number {
  return parts(iso).weekday || 7;
}

/** "Mon" of 1 to 7, Monday first. */
export function weekdayName(weekday: number): string {
  return WEEKDAYS[weekday % 7] ?? "";
}

/** "Monday" of 1 to 7. */
export function weekdayLong(weekday: number): string {
  return LONG[weekday % 7] ?? "";
}

/** "2.5 h" */
export function hours(minutes: number): string {
  return `${(minutes / 60).toFixed(1)} h`;
}

export function count(n: number, thing: string, things = thing + "s"): string {
  return `${n} ${n === 1 ? thing : things}`;
}

/** "9 students are no longer late; 15 had handed in". */
export function lateness(l: { becomes: number; noLonger: number; handedIn: number }): string {
  const are = (n: number, what: string) => `${count(n, "student")} ${n === 1 ? what.replace("are", "is") : what}`;
  const parts = [
    l.becomes ? are(l.becomes, "become late").replace("1 student become", "1 student becomes") : "",
    l.noLonger ? are(l.noLonger, "are no longer late") : "",
  ].filter(Boolean);
  return `${parts.join(", ") || "nobody becomes late"}; ${l.handedIn} had handed in`;
}
