import type { Directive } from "vue";

/** Brings what opens within a scrolling part into sight. */
export const vSeen: Directive<HTMLElement> = {
  mounted: (part) => part.scrollIntoView({ block: "nearest" }),
};
