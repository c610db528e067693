import { computed } from "vue";
import type { ItemView, NoticeView } from "../api/client";
import { display } from "../api/me";

/** What a wall can leave out: what stands on a day, kinds of work, and whom it is for. */
export const STANDS: readonly [string, string][] = [
  ["classes", "classes"],
  ["steps", "steps"],
  ["due", "due"],
  ["opens", "opens"],
  ["closes", "closes"],
  ["notices", "notices"],
];
/** The kinds of work, as the plan file has them. */
export const KINDS = [
  "reading",
  "practice",
  "homework",
  "discussion",
  "lab",
  "project",
  "presentation",
  "quiz",
  "test",
  "other",
] as const;
export const WORK: readonly [string, string][] = KINDS.map((kind) => [`work:${kind}`, kind]);
export const FOR: readonly [string, string][] = [
  ["for:all", "everybody"],
  ["for:sections", "some sections"],
  ["for:attendees", "who was there"],
  ["for:extra-credit", "extra credit"],
  ["for:me", "only me"],
];

/** What the person has left out. */
export const hiddenKinds = computed<ReadonlySet<string>>(() => new Set(display.value.hiddenKinds));

const KNOWN = new Set(WORK.map(([key]) => key));

/** Whether a date of work is shown. Its main date counts as due, whatever it is. */
export function showsItem(item: Pick<ItemView, "which" | "kind" | "audience">, hidden: ReadonlySet<string>): boolean {
  if (!hidden.size) return true;
  const what = item.which.startsWith("main-") ? "due" : item.which;
  const kind = `work:${item.kind}`;
  return (
    !hidden.has(what) &&
    !hidden.has(KNOWN.has(kind) ? kind : "work:other") &&
    !hidden.has(`for:${item.audience ?? "all"}`)
  );
}

/** Whether a notice is shown. */
export const showsNotice = (notice: Pick<NoticeView, "own">, hidden: ReadonlySet<string>) =>
  !hidden.size || !(hidden.has("notices") || hidden.has(notice.own ? "for:me" : "for:all"));
