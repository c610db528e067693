import { type Schemas, api, ask } from "../api/client";

/** Reads "MWF 10-10:50 Weir House 2" and the like as meeting patterns. */
export function meetings(termId: number, text: string): Promise<Schemas["MeetingsRead"]> {
  return ask(api.GET("/api/terms/{termId}/meetings", { params: { path: { termId }, query: { text } } }));
}
