import type { OutlineUnit, WallView } from "../api/client";

/** The names of the threads' colours, in the order of the tokens. */
export const COLOURS = ["moss", "blue", "ochre", "plum", "teal", "olive"] as const;

/** Colours of paper that a unit can be handed out on; its thread keeps the colour of its place. */
export const PAPERS = [
  "yellow",
  "rose",
  "purple",
  "green",
  "light blue",
  "orange",
  "grey",
  "white",
  "pink",
  "cream",
] as const;

/** The class of a unit's swatch of paper; empty for none. */
export const paperOf = (colour: string) =>
  (PAPERS as readonly string[]).includes(colour) ? `paper paper-${colour.replace(" ", "-")}` : "";

/**
 * How a unit's thread looks: colour and pattern by its number, so that 36 units differ; a colour that was chosen goes
 * before the number's.
 */
export function threadOf(number: number, colour = ""): string[] {
  const chosen = (COLOURS as readonly string[]).indexOf(colour);
  return [`c${chosen < 0 ? number % 6 : chosen}`, `p${(number + Math.floor(number / 6)) % 6}`];
}

/** The units of a wall by id. */
export function unitsOf(wall: WallView): Map<string, OutlineUnit & { look: string[] }> {
  return new Map(wall.outline.units.map((u) => [u.id, { ...u, look: threadOf(u.number, u.colour) }]));
}

export type Units = ReturnType<typeof unitsOf>;

/** How the thread of each unit looks, by the unit's id. */
export type Looks = ReadonlyMap<string, string[]>;

/** The looks of a wall's units; the old ones where nothing differs, so that nobody draws again for them. */
export function looksOf(wall: WallView, old?: Looks): Looks {
  const units = wall.outline.units;
  if (old?.size === units.length && units.every((u) => old.get(u.id)?.join() === threadOf(u.number, u.colour).join()))
    return old;
  return new Map(units.map((u) => [u.id, threadOf(u.number, u.colour)]));
}
