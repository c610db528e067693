import { computed, ref, shallowRef } from "vue";
import { type Change, type Schemas, api, ask } from "../api/client";
import { threadOf } from "../draw/units";
import type { WallState } from "../change/useWall";

export type Way = Schemas["WayView"];

/** What ways out are asked for: of a change, of a day without its class, or with neither of the plan as it stands. */
export interface Asked {
  course: string;
  section: string;
  change: Change | null;
  noClassOn: string;
}

export const TITLES: Readonly<Record<string, string>> = {
  "let-it-slide": "Let it slide",
  "catch-up-in-unit": "Catch up in this unit",
  "catch-up-by-break": "Catch up by the next break",
  "catch-up-by-pin": "Catch up by the next fixed date",
  "catch-up-by-date": "Catch up by a date",
  "leave-it-out": "Leave it out",
  "tidy-the-weeks": "Tidy the weeks",
};

/** Whether a way can be taken: steps lead there, or it is what the change does by itself. */
export const takes = (way: Way) => !!way.steps && !!way.change;

/** The ways out for a section, which of them is chosen, and which of its steps are taken. */
export function useWays(state: Pick<WallState, "termId" | "propose">, asked: Asked) {
  const found = shallowRef<Schemas["WaysView"] | null>(null);
  const wrong = ref("");
  const by = ref("");
  const chosen = ref("");
  /** What a way leaves out, shortens or joins holds for all sections of the course. */
  const everywhere = ref(false);
  /** Earlier classes without a record count as held as planned. */
  const held = ref(true);
  /** Steps that are not taken, by way and number. */
  const left = ref<ReadonlySet<string>>(new Set());

  let turn = 0;
  async function look() {
    const mine = ++turn;
    wrong.value = "";
    try {
      const answer = await ask(
        api.POST("/api/terms/{termId}/ways", {
          params: { path: { termId: state.termId } },
          body: {
            course: asked.course,
            section: asked.section,
            tidy: true,
            everywhere: everywhere.value,
            held: held.value,
            ...(asked.noClassOn ? { noClassOn: asked.noClassOn } : {}),
            ...(asked.change ? { change: asked.change } : {}),
            ...(by.value ? { by: by.value } : {}),
          },
        }),
      );
      if (mine !== turn) return;
      found.value = answer;
      left.value = new Set();
      const ways = found.value.ways.filter(takes);
      if (ways[0] && !ways.some((w) => w.name === chosen.value)) {
        chosen.value = ways.some((w) => w.name === found.value?.chosen) ? found.value.chosen : ways[0].name;
      }
    } catch (e) {
      wrong.value = (e as Error).message;
    }
  }
  const stepKey = (way: Way, n: number) => `${way.name} ${n}`;
  const taken = (way: Way, n: number) => !left.value.has(stepKey(way, n));
  function toggle(way: Way, n: number) {
    const set = new Set(left.value);
    const key = stepKey(way, n);
    if (!set.delete(key)) set.add(key);
    left.value = set;
  }
  /** The change that takes a way, or those of its steps that are ticked; null where nothing would be done. */
  function changeOf(way: Way): Change | null {
    const steps = (way.steps ?? []).filter((_, n) => taken(way, n));
    if (steps.length === way.steps?.length) return way.change ?? null;
    const first = found.value?.change;
    const changes = [...(first ? [first] : []), ...steps.map((s) => s.change)];
    if (!changes.length) return null;
    return changes.length === 1 ? changes[0]! : { kind: "together", does: "", changes };
  }
  /** Proposes a way; true unless it was refused. */
  async function propose(way: Way): Promise<boolean> {
    const change = changeOf(way);
    return change !== null && state.propose(held.value ? change : { ...change, held: false }, "always");
  }
  return {
    found,
    wrong,
    by,
    everywhere,
    held,
    chosen,
    look,
    taken,
    toggle,
    changeOf,
    propose,
    looks: computed(() => new Map(found.value?.units.map((u) => [u.id, threadOf(u.number, u.colour ?? "")]))),
    least: computed(() => Math.min(...(found.value?.ways.map((w) => w.total) ?? []))),
    /** Nothing was asked about, and nothing would cost less. */
    best: computed(() => found.value !== null && !found.value.said && !found.value.ways.some(takes)),
  };
}
