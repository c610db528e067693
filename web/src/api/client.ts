import createClient, { type Middleware } from "openapi-fetch";
import { askedIn } from "./mode";
import { cookie } from "./cookie";
import type { components, paths } from "./schema";

/** The server's types, by their names there. */
export type Schemas = components["schemas"];
export type WallView = Schemas["WallView"];
export type Week = Schemas["Week"];
export type Day = Schemas["Day"];
export type Gone = Schemas["Gone"];
export type ItemView = Schemas["ItemView"];
export type NoticeView = Schemas["NoticeView"];
export type LessonView = Schemas["LessonView"];
export type ProposalView = Schemas["ProposalView"];
export type CalendarView = Schemas["CalendarView"];
export type CalendarWeek = Schemas["CalendarWeek"];
export type CalendarDay = Schemas["CalendarDay"];
export type ClosureView = Schemas["ClosureView"];
export type FindingView = Schemas["FindingView"];
export type DatesView = Schemas["DatesView"];
export type DatesRow = Schemas["DatesRow"];
export type DatesCell = Schemas["DatesCell"];
export type CellsRead = Schemas["CellsRead"];
export type OutlineUnit = Schemas["OutlineUnit"];

/** A change as the server reads it; its kinds are those of the OpenAPI document. */
export type Change = Schemas["Change"];
/** A change of one kind. */
export type ChangeOf<K extends Change["kind"]> = Extract<Change, { kind: K }>;
/** "MO" to "SU". */
export type Weekday = NonNullable<ChangeOf<"mark-days">["weekday"]>;

/** One place at fault in what was sent. */
export interface Place {
  pointer: string;
  line: number;
  severity: string;
  message: string;
}

/** A refusal: what happened, what was kept, what to do. */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly type: string,
    detail: string,
    readonly faults: Place[] = [],
    /** What the change that was asked for does now, where something else was changed meanwhile. */
    readonly fresh: ProposalView | null = null,
  ) {
    super(detail);
  }
}

const withToken: Middleware = {
  onRequest({ request }) {
    if (request.method !== "GET") request.headers.set("X-XSRF-TOKEN", cookie("XSRF-TOKEN"));
    const whatIf = askedIn(new URL(request.url).pathname);
    if (whatIf !== null) request.headers.set("What-If", String(whatIf));
    return request;
  },
};

export const api = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: (request) => globalThis.fetch(request),
});
api.use(withToken);

/** What is called when a term cannot be worked out any more, with why. */
let stuck: (why: string) => void = () => undefined;
export function onStuck(call: (why: string) => void) {
  stuck = call;
}

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The answer's data; throws a {@link ProblemError} when the server refused or could not be reached. */
export async function ask<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new ProblemError(
      0,
      "no-answer",
      "The server does not answer. What you typed is kept here; check that Matsuri is running and try again.",
    );
  }
  if (!answer.response.ok) {
    const problem = (answer.error ?? {}) as {
      type?: string;
      detail?: string;
      faults?: Place[];
      proposal?: ProposalView;
    };
    if (problem.type?.endsWith("/term-stuck")) stuck(problem.detail ?? "");
    throw new ProblemError(
      answer.response.status,
      problem.type ?? "",
      problem.detail ?? (answer.response.status === 401 ? "You are signed out. Sign in again." : "The server refused."),
      problem.faults ?? [],
      problem.proposal ?? null,
    );
  }
  return answer.data as T;
}

/** Signs in; the session lives in a cookie. Who has a second factor gives its code as well. */
export async function signIn(name: string, password: string, code = ""): Promise<void> {
  await ask(api.GET("/api/welcome"));
  const response = await fetch("/api/session", {
    method: "POST",
    headers: { "X-XSRF-TOKEN": cookie("XSRF-TOKEN") },
    body: new URLSearchParams(code ? { signIn: name, password, code } : { signIn: name, password }),
  });
  if (!response.ok) {
    const problem = (await response.json().catch(() => ({}))) as { type?: string; detail?: string };
    throw new ProblemError(
      response.status,
      problem.type ?? "sign-in-refused",
      problem.detail ?? "Signing in did not work. Try again.",
    );
  }
}

export async function signOut(): Promise<void> {
  await fetch("/api/session/end", { method: "POST", headers: { "X-XSRF-TOKEN": cookie("XSRF-TOKEN") } });
}

/** Opens a plan file, or a bundle (.zip), as a new term. */
export async function openPlan(file: Blob): Promise<Schemas["MadeTerm"]> {
  const bundle = file instanceof File && /[.]zip$/i.test(file.name);
  const most = bundle ? 250 : 8;
  if (file.size > most * 1024 * 1024) {
    throw new ProblemError(
      413,
      "too-large",
      `That file has ${Math.round(file.size / 1024 / 1024)} MB; at most ${most} MB are taken. Check that it is the right file.`,
    );
  }
  const response = await fetch(bundle ? "/api/bundles" : "/api/terms", {
    method: "POST",
    headers: { "X-XSRF-TOKEN": cookie("XSRF-TOKEN"), "Content-Type": "application/octet-stream" },
    body: file,
  });
  const body = (await response.json().catch(() => ({}))) as Schemas["MadeTerm"] & {
    type?: string;
    detail?: string;
    faults?: Place[];
  };
  if (!response.ok) {
    throw new ProblemError(response.status, body.type ?? "", body.detail ?? "The file was refused.", body.faults ?? []);
  }
  return body;
}
