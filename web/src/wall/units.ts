import type { OutlineUnit, WallView } from "../api/client";

/** How a unit's thread looks: colour and pattern by its number, so that 36 units differ. */
export function threadOf(number: number): string[] {
  return [`c${number % 6}`, `p${(number + Math.floor(number / 6)) % 6}`];
}

/** The units of a wall by id. */
export function unitsOf(wall: WallView): Map<string, OutlineUnit & { look: string[] }> {
  return new Map(wall.outline.units.map((u) => [u.id, { ...u, look: threadOf(u.number) }]));
}

export type Units = ReturnType<typeof unitsOf>;
