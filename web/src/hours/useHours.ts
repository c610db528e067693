import type { Schemas } from "../api/client";
import { api, ask } from "../api/client";
import { type ChangeState, useChanges } from "../change/useChanges";

export type HoursView = Schemas["HoursView"];
export type HoursLine = Schemas["HoursLine"];
export type HoursSlot = Schemas["HoursSlot"];
export type HoursBlock = Schemas["HoursBlock"];
export type BookingLine = Schemas["BookingLine"];

/** Office hours of a term, what is proposed, and the ways to change them. */
export function useHours(termId: number): ChangeState<HoursView> {
  return useChanges<HoursView>(termId, {
    fetch: () => ask(api.GET("/api/terms/{termId}/hours", { params: { path: { termId } } })),
    query: () => ({ view: "hours" }),
    of: (proposal) => proposal.hours ?? null,
    into: (proposal, hours) => ({ ...proposal, hours }),
  });
}
