import { api, ask } from "./client";

/** A new link of the meeting provider; one serves a whole series. */
export const meetingLink = async (termId: number): Promise<string> =>
  (await ask(api.POST("/api/terms/{termId}/meeting-links", { params: { path: { termId } } }))).link;
