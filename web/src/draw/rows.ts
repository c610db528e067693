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
  /** The dashed line of how far students were told, along its bottom and right edge. */
  toldBottom: boolean;
  toldRight: boolean;
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
      toldBottom: day.lastTold,
      toldRight: day.lastTold && !!after && !after.lastTold,
    };
  });
}

/** A week and its cells as they are drawn. */
export interface Row {
  week: Week;
  cells: readonly Cell[];
  isNow: boolean;
}

/** The rows of a wall; what says the same as in the old ones is the same object, so that it is not drawn again. */
export function rowsOf(weeks: readonly Week[], nowWeek: number, old: readonly Row[] = []): Row[] {
  return weeks.map((week, n) => {
    const isNow = week.number === nowWeek;
    const row = old[n];
    if (row?.week === week && row.isNow === isNow) return row;
    const cells = cellsOf(week, isNow).map((cell, c) => {
      const was = row?.cells[c];
      return was && (Object.keys(cell) as (keyof Cell)[]).every((key) => was[key] === cell[key]) ? was : cell;
    });
    return { week, cells, isNow };
  });
}
