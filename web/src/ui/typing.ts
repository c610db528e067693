/** For how long after a letter was typed a key alone still counts as typing, in milliseconds. */
const WHILE = 700;
let last = -WHILE;

/** Notes when something is typed anywhere on the page; once. */
export function noteTyping(page: Document) {
  page.addEventListener(
    "keydown",
    (event) => {
      const field = (event.target as HTMLElement).closest("input:not([type=checkbox],[type=radio]), textarea");
      if (field && event.key.length === 1) last = performance.now();
    },
    true,
  );
}

/** Whether the hand is typing: what comes up meanwhile does not take its next letter for an answer. */
export const isTyping = () => performance.now() - last < WHILE;
