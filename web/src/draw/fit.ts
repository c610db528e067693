import type { ItemView } from "../api/client";

/** What a name of work needs to know of it to take its place. */
export type Named = Pick<ItemView, "shortName" | "test" | "fixed">;

/** Width of a name of work on the wall, in pixels: measured on the shipped font at 11px. */
function widthOf(item: Named): number {
  return item.shortName.length * 5.9 + (item.test ? 14 : 13) + (item.fixed ? 11 : 0);
}

/**
 * How many of the items fit into a width; what does not is counted at the end.
 *
 * @param items in the order in which they are shown
 * @param width in pixels
 */
export function fitting(items: readonly Named[], width: number): number {
  let used = 0;
  for (let n = 0; n < items.length; n++) {
    const item = items[n];
    if (!item) break;
    used += widthOf(item);
    const more = n < items.length - 1 ? 18 : 0;
    if (used + more > width && n > 0) return n;
  }
  return items.length;
}

/** Items that are shown on a day: those whose main date it is. */
export function shownItems(items: readonly ItemView[]): ItemView[] {
  return items.filter((i) => i.which.startsWith("main-"));
}
