import { type Schemas, api, ask } from "../api/client";

// objects of the plan file, edited as they stand there
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type Json = Record<string, any>;

/** The plan of a term as its plan file has it. */
export async function planOf(termId: number): Promise<Json> {
  return (await ask(api.GET("/api/terms/{termId}/plan", { params: { path: { termId } } }))) as unknown as Json;
}

/** Reads "MWF 10-10:50 Weir House 2" and the like as meeting patterns. */
export function meetings(termId: number, text: string): Promise<Schemas["MeetingsRead"]> {
  return ask(api.GET("/api/terms/{termId}/meetings", { params: { path: { termId }, query: { text } } }));
}

/** The same object without fields that say nothing. */
export function clean(value: Json): Json {
  return Object.fromEntries(Object.entries(value).filter(([, v]) => v !== "" && v !== null && v !== undefined));
}
