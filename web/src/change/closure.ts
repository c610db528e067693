import type { ClosureView, Schemas } from "../api/client";

/** A day off while it is written: what a plan file says of one. */
export interface ClosureDraft {
  reason: string;
  kind: string;
  noClass: boolean;
  planPauses: boolean;
  nothingDue: boolean;
  /** Codes of courses or sections that it concerns; empty for everyone. */
  only: string[];
  /** Hours on each of its days; both empty for whole days. */
  from: string;
  to: string;
  justInCase: boolean;
}

/** Kinds that are offered. */
export const KINDS = [
  "public-holiday",
  "break",
  "staff-day",
  "testing",
  "event",
  "weather",
  "instructor-away",
  "other",
] as const;

/** A new day off with the usual effects. */
export function newClosure(): ClosureDraft {
  return {
    reason: "",
    kind: "other",
    noClass: true,
    planPauses: false,
    nothingDue: true,
    only: [],
    from: "",
    to: "",
    justInCase: false,
  };
}

/** A day off as it stands, to be changed. */
export function draftOf(closure: ClosureView): ClosureDraft {
  return {
    reason: closure.reason,
    kind: closure.kind,
    noClass: closure.noClass,
    planPauses: closure.planPauses,
    nothingDue: closure.nothingDue,
    only: closure.only ?? [],
    from: closure.from?.slice(0, 5) ?? "",
    to: closure.to?.slice(0, 5) ?? "",
    justInCase: closure.justInCase,
  };
}

/** The same as a change carries it. */
export function written(draft: ClosureDraft, first: string, last: string): Schemas["PlanClosure"] {
  const { from, to, only, justInCase, ...rest } = draft;
  return {
    first,
    last,
    ...rest,
    reason: draft.reason.trim(),
    ...(from && to ? { from, to } : {}),
    ...(only.length ? { only } : {}),
    ...(justInCase ? { justInCase } : {}),
  };
}

/** What follows from it, in words. */
export function effects(draft: Pick<ClosureDraft, "noClass" | "planPauses" | "nothingDue">): string {
  const said = [draft.noClass && "no class", draft.planPauses && "lessons wait", draft.nothingDue && "nothing due"];
  return said.filter(Boolean).join(", ") || "nothing follows from it";
}
