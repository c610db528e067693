import { api, ask } from "../api/client";

/** A course as the plan file has it, with the fields that a form edits. */
export async function coursePlan<T>(termId: number, course: string): Promise<T | undefined> {
  const plan = (await ask(api.GET("/api/terms/{termId}/plan", { params: { path: { termId } } }))) as unknown as {
    courses: (T & { code: string })[];
  };
  return plan.courses.find((c) => c.code === course);
}
