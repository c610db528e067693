import { type VueWrapper, flushPromises } from "@vue/test-utils";
import { vi } from "vitest";
import { computed, defineComponent, ref, shallowRef } from "vue";
import type { Change, ProposalView, WallView } from "../api/client";
import type { Done } from "../change/useChanges";
import { WALL, type WallState } from "../change/useWall";

/** Stand-ins for tests: a server of answers, a wall whose changes are only noted, parts of the library as plain marks. */

/** What was asked of the server: "POST changes" and what was sent. */
export interface Asked {
  key: string;
  query: URLSearchParams;
  body: unknown;
}

/** The server as a list of answers, by method and the end of the address. */
export function server(answers: Record<string, (asked: Asked) => unknown>): Asked[] {
  const asked: Asked[] = [];
  vi.stubGlobal("fetch", async (input: Request | string, init?: RequestInit) => {
    const request = typeof input === "string" ? new Request(new URL(input, window.location.href), init) : input;
    const url = new URL(request.url);
    const key = `${request.method} ${url.pathname.slice(url.pathname.lastIndexOf("/") + 1)}`;
    const text = request.method === "GET" ? "" : await request.clone().text();
    const json = request.headers.get("Content-Type")?.includes("json");
    const one = { key, query: url.searchParams, body: text ? (json ? JSON.parse(text) : text) : null };
    asked.push(one);
    const answer = answers[key]?.(one);
    const refused = answer instanceof Refused;
    const body =
      answer === undefined
        ? { detail: `nobody expects ${key}` }
        : refused
          ? { detail: answer.detail, type: answer.type }
          : answer;
    return new Response(JSON.stringify(body), {
      status: answer === undefined ? 404 : refused ? 422 : 200,
      headers: { "Content-Type": "application/json" },
    });
  });
  return asked;
}

/** An answer that refuses, with why. */
export class Refused {
  constructor(
    readonly detail: string,
    readonly type = "",
  ) {}
}

/** The state of a view whose changes are only noted; a change is refused where `refuses` says why. */
export function notedChanges(termId = 7) {
  const proposed: { change: Change; gate: string | undefined }[] = [];
  const problem = ref("");
  const state = {
    termId,
    proposal: shallowRef<ProposalView | null>(null),
    pending: shallowRef<Change | null>(null),
    problem,
    busy: ref(false),
    applying: ref(false),
    done: ref<Done | null>(null),
    seen: ref(true),
    version: computed(() => 1),
    refuses: "",
    propose: vi.fn(async (change: Change, gate?: string) => {
      proposed.push({ change, gate });
      problem.value = state.refuses;
      return state.refuses === "";
    }),
    apply: vi.fn(),
    discard: vi.fn(),
    undo: vi.fn(),
    redo: vi.fn(),
    holdBack: vi.fn(),
    see: vi.fn(),
    vary: vi.fn(),
    keep: vi.fn(),
    load: vi.fn(),
  };
  return { state, proposed };
}

/** A wall whose changes are only noted, to be provided to what is mounted. */
export function notedWall(wall: WallView) {
  const { state, proposed } = notedChanges(wall.termId);
  const shown = shallowRef<WallView | null>(wall);
  const whole = { ...state, wall: shown, view: shown, shown: computed(() => shown.value) } as unknown as WallState;
  return { state, proposed, provide: { [WALL as symbol]: whole } };
}

/** A dialog that shows what is in it where it stands. */
export const PlainDialog = defineComponent({
  props: { visible: Boolean, header: { type: String, default: "" } },
  emits: ["update:visible"],
  template: "<section v-if='visible' role='dialog' :aria-label='header'><slot></slot></section>",
});

/** A field for a date or a time that takes what is written as it is. */
export const PlainField = defineComponent({
  props: {
    id: { type: String, default: "" },
    modelValue: { type: String, default: "" },
    label: { type: String, default: "" },
  },
  emits: ["update:modelValue"],
  template:
    "<input :id='id' :value='modelValue' :aria-label='label || undefined' @input='$emit(`update:modelValue`, $event.target.value)' />",
});

export const stubs = {
  Dialog: PlainDialog,
  DateField: PlainField,
  TimeField: PlainField,
  RouterLink: defineComponent({
    props: ["to"],
    template: "<a :href='typeof to === `string` ? to : to.path'><slot></slot></a>",
  }),
};

/** Lets everything that was promised come. */
export const settled = flushPromises;

/** Presses the first button whose words begin so, and lets come what follows. */
export function presses(at: VueWrapper) {
  return async (words: string) => {
    await at
      .findAll("button")
      .find((b) => b.text().startsWith(words))!
      .trigger("click");
    await settled();
  };
}
