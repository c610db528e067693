import { type Schemas, api, ask } from "./client";

/** The plan of a term as its plan file has it. */
export function planOf(termId: number): Promise<Schemas["Plan"]> {
  return ask(api.GET("/api/terms/{termId}/plan", { params: { path: { termId } } }));
}

/** A course as the plan file has it, with the fields that a form edits. */
export async function courseOf(termId: number, code: string): Promise<Schemas["PlanCourse"] | undefined> {
  return (await planOf(termId)).courses?.find((c) => c.code === code);
}

/** The same without fields that say nothing. */
export function clean<T extends object>(value: T): T {
  return Object.fromEntries(Object.entries(value).filter(([, v]) => v !== "" && v !== null && v !== undefined)) as T;
}
