import { nextTick } from "vue";

/** Weeks of days, as the wall and the term are drawn. */
export interface Days {
  weeks: readonly { days: readonly { date: string }[] }[];
  columns: readonly unknown[];
}

/** The day that an arrow key leads to from a day, or the day itself at the wall's edge. */
export function walk(wall: Days, from: string, key: string): string {
  const weeks = wall.weeks;
  let row = weeks.findIndex((w) => w.days.some((d) => d.date === from));
  let column = weeks[row]?.days.findIndex((d) => d.date === from) ?? 0;
  const last = wall.columns.length - 1;
  const at = () => weeks[row]?.days[column]?.date ?? from;
  if (row < 0) return wall.weeks[0]?.days[0]?.date ?? from;
  switch (key) {
    case "ArrowUp":
      row = Math.max(0, row - 1);
      break;
    case "ArrowDown":
      row = Math.min(weeks.length - 1, row + 1);
      break;
    case "ArrowLeft":
      if (column > 0) column--;
      else if (row > 0) {
        row--;
        column = last;
      }
      break;
    case "ArrowRight":
      if (column < last) column++;
      else if (row < weeks.length - 1) {
        row++;
        column = 0;
      }
      break;
    case "Home":
      column = 0;
      break;
    case "End":
      column = last;
      break;
    default:
      return from;
  }
  return at();
}

/** Puts the keyboard on a day of a grid, once it is drawn. */
export async function focusWithin(grid: HTMLElement | undefined, date: string) {
  await nextTick();
  grid?.querySelector<HTMLElement>(`[data-date="${date}"]`)?.focus();
}
