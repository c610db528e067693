import type { Schemas } from "../api/client";
import { api, ask } from "../api/client";
import { type ChangeState, useChanges } from "../change/useChanges";

export type LanesView = Schemas["LanesView"];
export type Lane = Schemas["Lane"];

/** The sections of a term beside each other, what is proposed, and the ways to change it. */
export function useLanes(termId: number): ChangeState<LanesView> {
  return useChanges<LanesView>(termId, {
    fetch: () => ask(api.GET("/api/terms/{termId}/lanes", { params: { path: { termId } } })),
    query: () => ({ view: "lanes" }),
    of: (proposal) => proposal.lanes ?? null,
    into: (proposal, lanes) => ({ ...proposal, lanes }),
  });
}
