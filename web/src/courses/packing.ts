import type { LaidThing } from "./lay";

/** Width of a name of work with its letters, in pixels: measured on the shipped font at 11px. */
function widthOf(thing: LaidThing): number {
  const marks = (thing.told ? 13 : 0) + (thing.fixed ? 11 : 0) + (thing.draft ? 28 : 0);
  return (thing.name.length + thing.letters.length + 1) * 5.9 + (thing.test ? 19 : 14) + marks;
}

/**
 * How many of the things fit into some lines of a width, in their order; what does not is counted at the end of the last line.
 *
 * @param width in pixels
 */
export function fittingLines(things: readonly LaidThing[], width: number, lines: number): number {
  let line = 1;
  let used = 0;
  for (let n = 0; n < things.length; n++) {
    const wide = Math.min(width, widthOf(things[n]!));
    if (used && used + wide > width) {
      line++;
      used = 0;
    }
    const more = line === lines && n < things.length - 1 ? 22 : 0;
    // one alone in its line is cut to make room for the count
    if (line > lines || (used && used + wide + more > width)) return n;
    used += wide;
  }
  return things.length;
}
