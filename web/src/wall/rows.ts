import type { Day, Week } from "../api/client";

/** One day as a row of the wall draws it. */
export interface Cell {
  day: Day;
  /** Hatched: a day off without a class on it. */
  off: boolean;
  /** The first day of a run of hatched days in this row, and how many they are. */
  runLength: number;
  /** The last day of the run that begins here. */
  runEnd: string;
  /** Within a run, not its last day. */
  runGoesOn: boolean;
  /** The thread goes under a day off at this edge. */
  holeLeft: boolean;
  holeRight: boolean;
  /** The red stair of now along its top and left edge. */
  nowTop: boolean;
  nowLeft: boolean;
}

export function isOff(day: Day): boolean {
  return !!day.off?.noClass && day.inTerm && day.lessons.length === 0 && day.sessions.length === 0;
}

/** The cells of a week; the stair of now runs along the top of days from today on in today's week. */
export function cellsOf(week: Week, isNowWeek: boolean): Cell[] {
  const days = week.days;
  return days.map((day, n) => {
    const off = isOff(day);
    const before = days[n - 1];
    const after = days[n + 1];
    const sameRun = (other?: Day) =>
      !!other && isOff(other) && other.off?.first === day.off?.first && other.off?.reason === day.off?.reason;
    let runLength = 0;
    if (off && !sameRun(before)) {
      runLength = 1;
      while (sameRun(days[n + runLength])) runLength++;
    }
    const hole = (other?: Day) =>
      !off && !!day.thread && !!other && isOff(other) && other.thread?.unit === day.thread.unit;
    const future = !day.past;
    return {
      day,
      off,
      runLength,
      runEnd: days[n + Math.max(1, runLength) - 1]?.date ?? day.date,
      runGoesOn: off && sameRun(after),
      holeLeft: hole(before),
      holeRight: hole(after),
      nowTop: isNowWeek && future,
      nowLeft: isNowWeek && day.today,
    };
  });
}

/** The cells, with those that say the same as before replaced by the ones before, so that they are not drawn again. */
export function keepSame(cells: Cell[], before: Map<string, Cell>): Cell[] {
  return cells.map((cell) => {
    const old = before.get(cell.day.date);
    const same = old && (Object.keys(cell) as (keyof Cell)[]).every((key) => old[key] === cell[key]);
    if (same) return old;
    before.set(cell.day.date, cell);
    return cell;
  });
}
