import { type ComputedRef, type InjectionKey, type Ref, type ShallowRef, computed, inject, ref, shallowRef } from "vue";
import { type Change, ProblemError, type ProposalView, type WallView, api, ask } from "../api/client";
import { keepSame } from "./same";

/** A line that says what was just done and offers to take it back. */
export interface Done {
  text: string;
  undo: boolean;
}

/** The wall of one section, what is proposed on it, and the ways to change it. */
export interface WallState {
  termId: number;
  /** The wall as it stands; null until it is loaded. */
  wall: ShallowRef<WallView | null>;
  /** What is proposed; null when nothing is. */
  proposal: ShallowRef<ProposalView | null>;
  /** The wall to draw: as proposed, else as it stands. */
  shown: ComputedRef<WallView | null>;
  /** The change that the proposal would make. */
  pending: ShallowRef<Change | null>;
  problem: Ref<string>;
  done: Ref<Done | null>;
  busy: Ref<boolean>;
  /** What is proposed is being made: whatever is asked for now follows it. */
  applying: Ref<boolean>;
  load(course?: string, section?: string): Promise<void>;
  /** Shows what a change would do; makes it at once when nothing else moves. True unless it was refused. */
  propose(change: Change): Promise<boolean>;
  apply(): Promise<void>;
  discard(): void;
  undo(): Promise<void>;
  redo(): Promise<void>;
}

const KEY: InjectionKey<WallState> = Symbol("wall");
export { KEY as WALL };

export function injectWall(): WallState {
  const state = inject(KEY);
  if (!state) throw new Error("no wall around this component");
  return state;
}

export function useWall(termId: number): WallState {
  const wall = shallowRef<WallView | null>(null);
  const proposal = shallowRef<ProposalView | null>(null);
  const pending = shallowRef<Change | null>(null);
  const problem = ref("");
  const done = ref<Done | null>(null);
  const busy = ref(false);
  const applying = ref(false);
  const shown = computed(() => proposal.value?.wall ?? wall.value);
  let query: { course?: string; section?: string } = {};

  let queue: Promise<unknown> = Promise.resolve();

  /** Runs one action after the other, none lost; what goes wrong is said. */
  function doing(action: () => Promise<void>): Promise<boolean> {
    const turn = queue.then(() => run(action));
    queue = turn;
    return turn;
  }

  async function run(action: () => Promise<void>): Promise<boolean> {
    busy.value = true;
    problem.value = "";
    try {
      await action();
      return true;
    } catch (e) {
      problem.value = e instanceof Error ? e.message : String(e);
      if (e instanceof ProblemError && e.status === 409) {
        await reload().catch(() => undefined);
        await proposeAgain();
      }
      return false;
    } finally {
      busy.value = false;
    }
  }

  async function reload() {
    const fresh = await ask(api.GET("/api/terms/{termId}/wall", { params: { path: { termId }, query } }));
    // days that did not change stay the same objects, so that their cells are not drawn again
    wall.value = keepSame(wall.value, fresh);
  }

  async function fetchProposal(change: Change) {
    const found = await ask(
      api.POST("/api/terms/{termId}/proposals", { params: { path: { termId }, query }, body: change as never }),
    );
    const base = shown.value;
    return base && found.wall ? { ...found, wall: keepSame(base, found.wall) } : found;
  }

  async function proposeAgain() {
    if (!pending.value) return;
    try {
      proposal.value = await fetchProposal(pending.value);
    } catch (e) {
      proposal.value = null;
      pending.value = null;
      problem.value += " " + (e as Error).message;
    }
  }

  async function make(change: Change, version: number) {
    const made = await ask(
      api.POST("/api/terms/{termId}/changes", {
        params: { path: { termId } },
        body: { version, change: change as never },
      }),
    );
    proposal.value = null;
    pending.value = null;
    await reload();
    done.value = { text: made.sentence, undo: true };
  }

  async function step(way: "undo" | "redo") {
    const version = wall.value?.version;
    if (version === undefined) return;
    const made = await ask(api.POST(`/api/terms/{termId}/${way}`, { params: { path: { termId } }, body: { version } }));
    await reload();
    done.value = { text: made.sentence, undo: false };
  }

  function discard() {
    proposal.value = null;
    pending.value = null;
    problem.value = "";
  }

  return {
    termId,
    wall,
    proposal,
    shown,
    pending,
    problem,
    done,
    busy,
    applying,
    async load(course, section) {
      query = course && section ? { course, section } : {};
      proposal.value = null;
      pending.value = null;
      await doing(reload);
    },
    propose: (change) =>
      doing(async () => {
        done.value = null;
        const found = await fetchProposal(change);
        if (found.quiet) {
          await make(change, found.version);
        } else {
          pending.value = change;
          proposal.value = found;
        }
      }),
    async apply() {
      applying.value = proposal.value !== null;
      await doing(async () => {
        if (pending.value && proposal.value) await make(pending.value, proposal.value.version);
      });
      applying.value = false;
    },
    discard,
    async undo() {
      // looked at in turn, so that an undo right after Apply waits for it; what is only proposed is taken back first
      await doing(async () => {
        if (proposal.value) discard();
        else await step("undo");
      });
    },
    async redo() {
      await doing(async () => {
        if (!proposal.value) await step("redo");
      });
    },
  };
}
