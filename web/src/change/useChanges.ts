import { type ComputedRef, type Ref, type ShallowRef, computed, ref, shallowRef, watch } from "vue";
import { kept } from "./kept";
import { type Change, ProblemError, type ProposalView, type Schemas, api, ask } from "../api/client";
import { trying } from "../api/mode";

/** A line that says what was just done and offers to take it back. */
export interface Done {
  text: string;
  undo: boolean;
  /** What was made at once and told students other dates: it can still be held back from them. */
  told?: Change;
}

/**
 * When a change is shown before it is made: as usual; always; or, for what is typed line by line, only when other things
 * move, so that a problem of the new thing itself is said and does not stop the hand.
 */
export type Gate = "usual" | "always" | "typed";

/** What can be said otherwise of what is proposed: where it is meant, what stays together, what counts as held. */
export type Otherwise = Partial<Pick<Schemas["MoveChange"], "section" | "seenIn" | "keepUnit">> & { held?: boolean };

/** What a view of a term shows, what is proposed on it, and the ways to change it. */
export interface ChangeState<V> {
  termId: number;
  /** The view as it stands; null until it is loaded. */
  view: ShallowRef<V | null>;
  /** Version of the decisions that it shows; 0 until it is loaded. */
  version: ComputedRef<number>;
  /** What is proposed; null when nothing is. */
  proposal: ShallowRef<ProposalView | null>;
  /** The view to draw: as proposed, else as it stands. */
  shown: ComputedRef<V | null>;
  /** The change that the proposal would make. */
  pending: ShallowRef<Change | null>;
  problem: Ref<string>;
  done: Ref<Done | null>;
  busy: Ref<boolean>;
  /** What is proposed is being made: whatever is asked for now follows it. */
  applying: Ref<boolean>;
  /** Students are told what the proposal alters; otherwise it waits. */
  seen: Ref<boolean>;
  /** Whoever is told that something moved gets a letter of it; said anew for each change. */
  digest: Ref<boolean>;
  /** Shows what is proposed as students would see it, or not yet. */
  see(seen: boolean): Promise<void>;
  /** Proposes the same change with some of it said otherwise; what is undefined is not said. */
  vary(otherwise: Otherwise): Promise<void>;
  /** Keeps what is proposed as a what-if of that name, in place of making it. */
  keep(name: string): Promise<boolean>;
  /** Loads the view anew, with nothing proposed. */
  load(): Promise<void>;
  /**
   * Shows what a change would do; makes it at once when nothing else moves and no problem appears. True unless it was
   * refused.
   */
  propose(change: Change, gate?: Gate): Promise<boolean>;
  apply(): Promise<void>;
  discard(): void;
  undo(): Promise<void>;
  redo(): Promise<void>;
  /** Makes again what was just made at once, so that students do not see it yet. */
  holdBack(): Promise<void>;
}

/** The views that the answer to a proposal or a change can carry. */
export type Carried = Pick<ProposalView, "wall" | "calendar" | "dates" | "lanes" | "hours" | "courses">;

/** How a view is asked for. */
export interface Source<V> {
  fetch(): Promise<V>;
  /** What is sent along with a proposal or a change so that the answer carries the view. */
  query(): { course?: string; section?: string; view?: string };
  /** The view that an answer carries; null for none. */
  of(answer: Carried): V | null;
  /** The proposal with another view in it. */
  into(proposal: ProposalView, view: V): ProposalView;
}

/** The one way to change a term from a view of it. */
export function useChanges<V extends { version: number }>(termId: number, source: Source<V>): ChangeState<V> {
  const view = shallowRef(null) as ShallowRef<V | null>;
  const proposal = shallowRef<ProposalView | null>(null);
  const pending = shallowRef<Change | null>(null);
  const problem = ref("");
  const done = ref<Done | null>(null);
  const busy = ref(false);
  const applying = ref(false);
  const seen = ref(true);
  const digest = ref(false);
  const shown = computed(() => (proposal.value && source.of(proposal.value)) ?? view.value);

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
        await proposeAgain(e.fresh);
      }
      return false;
    } finally {
      busy.value = false;
    }
  }

  async function reload() {
    try {
      view.value = kept(view.value, await source.fetch());
    } catch (e) {
      // what was shown is there no longer, as when the course that was looked at is taken back
      if (e instanceof ProblemError && e.status === 404) view.value = null;
      throw e;
    }
  }

  /** Shows what an answer carries; asks for the view where it carries none. */
  async function show(made: Carried) {
    const fresh = source.of(made);
    if (fresh) view.value = kept(view.value, fresh);
    else await reload();
  }

  async function fetchProposal(change: Change) {
    const found = await ask(
      api.POST("/api/terms/{termId}/proposals", {
        params: { path: { termId }, query: { ...source.query(), seen: seen.value } },
        body: change,
      }),
    );
    return drawn(found);
  }

  /** A proposal whose view keeps what is the same in it. */
  function drawn(found: ProposalView): ProposalView {
    const base = shown.value;
    const fresh = source.of(found);
    return base && fresh ? source.into(found, kept(base, fresh)) : found;
  }

  /** Shows what is proposed as it is now; the answer that refused it may have said so already. */
  async function proposeAgain(fresh: ProposalView | null) {
    if (!pending.value) return;
    try {
      proposal.value = fresh && source.of(fresh) ? drawn(fresh) : await fetchProposal(pending.value);
    } catch (e) {
      proposal.value = null;
      pending.value = null;
      problem.value += " " + (e as Error).message;
    }
  }

  async function make(change: Change, version: number): Promise<string> {
    const made = await ask(
      api.POST("/api/terms/{termId}/changes", {
        params: { path: { termId }, query: source.query() },
        body: { version, seen: seen.value, ...(digest.value ? { digest: true } : {}), change },
      }),
    );
    proposal.value = null;
    pending.value = null;
    seen.value = true;
    digest.value = false;
    await show(made);
    done.value = { text: made.sentence, undo: true };
    return made.sentence;
  }

  async function step(way: "undo" | "redo") {
    const version = view.value?.version;
    if (version === undefined) return;
    const made = await ask(
      api.POST(`/api/terms/{termId}/${way}`, {
        params: { path: { termId }, query: source.query() },
        body: { version },
      }),
    );
    done.value = { text: made.sentence, undo: false };
    await show(made);
  }

  /** Counts what was let go: what is still asked for then is not shown when it is answered. */
  let letGo = 0;
  function discard() {
    letGo++;
    clear();
  }
  function clear() {
    proposal.value = null;
    pending.value = null;
    seen.value = true;
    digest.value = false;
    problem.value = "";
  }

  watch(trying, async () => {
    // what is to be taken over may be asked for already
    clear();
    await doing(reload);
  });

  return {
    termId,
    view,
    version: computed(() => view.value?.version ?? 0),
    proposal,
    shown,
    pending,
    problem,
    done,
    busy,
    applying,
    seen,
    digest,
    async see(now) {
      seen.value = now;
      await doing(async () => {
        if (pending.value) proposal.value = await fetchProposal(pending.value);
      });
    },
    async vary(otherwise) {
      await doing(async () => {
        if (!pending.value) return;
        const said = Object.entries({ ...pending.value, ...otherwise }).filter(([, value]) => value !== undefined);
        const change = Object.fromEntries(said) as Change;
        proposal.value = await fetchProposal(change);
        pending.value = change;
      });
    },
    async load() {
      proposal.value = null;
      pending.value = null;
      await doing(reload);
    },
    propose: (change, gate = "usual") => {
      const asked = letGo;
      return doing(async () => {
        if (asked !== letGo) return;
        done.value = null;
        const found = await fetchProposal(change);
        if (asked !== letGo) return;
        const typed = gate === "typed" && found.moves.every((m) => m.hand);
        if (found.nothing) {
          done.value = {
            text: found.notes.join(" ").replace(/[.]$/, "") || `${found.does}: it is so already, nothing was changed`,
            undo: false,
          };
        } else if (gate !== "always" && (found.quiet || typed)) {
          const sentence = await make(change, found.version);
          const problem = found.appear.find((f) => f.severity === "problem");
          const text = problem ? `${sentence}. ${problem.sentence.replace(/[.]$/, "")}` : sentence;
          done.value = { text, undo: true, ...(found.altered ? { told: change } : {}) };
        } else {
          pending.value = change;
          proposal.value = found;
        }
      });
    },
    async apply() {
      applying.value = proposal.value !== null;
      await doing(async () => {
        if (pending.value && proposal.value) await make(pending.value, proposal.value.version);
      });
      applying.value = false;
    },
    discard,
    keep: (name) =>
      doing(async () => {
        const made = await ask(
          api.POST("/api/terms/{termId}/what-ifs", {
            params: { path: { termId } },
            body: { name, change: pending.value ?? undefined },
          }),
        );
        discard();
        done.value = { text: `Kept as the what-if “${made.name}”; the plan is as it was`, undo: false };
      }),
    async undo() {
      // looked at in turn, so that an undo right after Apply waits for it; what is only proposed is taken back first
      await doing(async () => {
        if (proposal.value) discard();
        else await step("undo");
      });
    },
    async holdBack() {
      const change = done.value?.told;
      if (!change) return;
      await doing(async () => {
        await step("undo");
        seen.value = false;
        await make(change, view.value!.version);
      });
    },
    async redo() {
      await doing(async () => {
        if (!proposal.value) await step("redo");
      });
    },
  };
}
