import type { Rule } from "../thing/when";

export type { Rule };

/** One date of what a rhythm brings each time, as the form has it. */
export interface PartDate {
  on: boolean;
  n: number;
  unit: string;
  /** Before or after the class. */
  way: "before" | "after";
  edge: "start" | "end";
  time: string;
}

/** The form of a rule; null where the rule says more than the form can. */
export function formOf(rule: Rule | null | undefined, way: PartDate["way"] = "after"): PartDate | null {
  if (!rule) return { on: false, n: 0, unit: "days", way, edge: "start", time: "" };
  const known = ["rhythm", "number", "edge", "plus", "in", "time"];
  if (!rule.rhythm || Object.keys(rule).some((k) => !known.includes(k))) return null;
  const plus = Number(rule.plus ?? 0);
  return {
    on: true,
    n: Math.abs(plus),
    unit: String(rule.in ?? "days"),
    // of no distance at all the rule does not say which way it goes
    way: plus < 0 ? "before" : plus > 0 ? "after" : way,
    edge: rule.edge === "end" ? "end" : "start",
    time: String(rule.time ?? ""),
  };
}

/** The rule of a form; nothing where it has no such date. */
export function ruleOf(form: PartDate, rhythm: string): Rule | undefined {
  if (!form.on) return undefined;
  const rule: Rule = { rhythm, edge: form.edge };
  if (form.n > 0) Object.assign(rule, { plus: form.way === "before" ? -form.n : form.n, in: form.unit });
  if (form.time) rule.time = form.time;
  return rule;
}
