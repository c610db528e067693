/** What painting over days means. */
export type Brush = "off" | "teaches" | "runs-as" | "start";

/** The meanings that are offered, with the swatch that shows each. */
export const BRUSHES: readonly { brush: Brush; swatch: string; name: string }[] = [
  { brush: "off", swatch: "off", name: "day off" },
  { brush: "teaches", swatch: "teach", name: "teaches" },
  { brush: "runs-as", swatch: "swap", name: "runs as another weekday" },
  { brush: "start", swatch: "start", name: "plan starts" },
];
