import { type InjectionKey, type ShallowRef, inject } from "vue";
import { ProblemError, type WallView, api, ask } from "../api/client";
import { type ChangeState, useChanges } from "./useChanges";

/** The wall of one section, what is proposed on it, and the ways to change it. */
export interface WallState extends Omit<ChangeState<WallView>, "load"> {
  /** The wall as it stands; null until it is loaded. */
  wall: ShallowRef<WallView | null>;
  load(course?: string, section?: string): Promise<void>;
}

const KEY: InjectionKey<WallState> = Symbol("wall");
export { KEY as WALL };

export function injectWall(): WallState {
  const state = inject(KEY);
  if (!state) throw new Error("no wall around this component");
  return state;
}

export function useWall(termId: number): WallState {
  let query: { course?: string; section?: string } = {};
  const stands = () => ask(api.GET("/api/terms/{termId}/wall", { params: { path: { termId }, query } }));
  const state = useChanges<WallView>(termId, {
    async fetch() {
      try {
        return await stands();
      } catch (e) {
        // the section that was looked at is there no longer: the first one, then
        if (!(e instanceof ProblemError && e.status === 404 && query.section)) throw e;
        query = {};
        return stands();
      }
    },
    query: () => ({ view: "wall", ...query }),
    of: (proposal) => proposal.wall ?? null,
    into: (proposal, wall) => ({ ...proposal, wall }),
  });
  return {
    ...state,
    wall: state.view,
    load(course, section) {
      query = course && section ? { course, section } : {};
      return state.load();
    },
  };
}
