import type { Change } from "../api/client";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { day, wallOf } from "../wall/testWall";
import { useWall } from "./useWall";

/** The server as a list of answers, by method and the end of the address. */
type Answers = Record<string, () => { status?: number; body: unknown }>;

function server(answers: Answers) {
  const asked: { key: string; body: unknown }[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    const path = new URL(request.url).pathname;
    const key = `${request.method} ${path.slice(path.lastIndexOf("/") + 1)}`;
    asked.push({ key, body: request.method === "GET" ? null : await request.clone().json() });
    const answer = answers[key]?.() ?? { status: 404, body: { detail: `nobody expects ${key}` } };
    return new Response(JSON.stringify(answer.body), {
      status: answer.status ?? 200,
      headers: { "Content-Type": "application/json" },
    });
  });
  return asked;
}
const proposal = (quiet: boolean, version = 1) => ({
  version,
  does: "Move",
  sentence: "Move: 1 lesson moves.",
  quiet,
  notes: [],
  moves: [],
  appear: [],
  goAway: [],
  wall: wallOf(version),
});
const change: Change = { kind: "pin", course: "C", lesson: "L1", date: null };

describe("the wall and its changes", () => {
  let answers: Answers;
  beforeEach(() => {
    answers = { "GET wall": () => ({ body: wallOf() }) };
  });

  it("makes a quiet change at once and says so with an undo", async () => {
    answers["POST proposals"] = () => ({ body: proposal(true) });
    answers["POST changes"] = () => ({ body: { version: 2, sentence: "Move “L1”" } });
    const asked = server(answers);
    const state = useWall(7);
    await state.load("C", "A");
    expect(await state.propose(change)).toBe(true);
    expect(asked.map((a) => a.key)).toEqual(["GET wall", "POST proposals", "POST changes", "GET wall"]);
    expect(asked[2]!.body).toEqual({ version: 1, seen: true, change });
    expect(state.done.value).toEqual({ text: "Move “L1”", undo: true });
    expect(state.proposal.value).toBeNull();
  });

  it("shows the view that the answer to a change or an undo carries, without asking again", async () => {
    answers["POST proposals"] = () => ({ body: proposal(true) });
    answers["POST changes"] = () => ({ body: { version: 2, sentence: "Move", wall: wallOf(2) } });
    answers["POST undo"] = () => ({ body: { version: 3, sentence: "Undo: Move", wall: wallOf(3) } });
    const asked = server(answers);
    const state = useWall(7);
    await state.load("C", "A");
    await state.propose(change);
    expect(state.version.value).toBe(2);
    await state.undo();
    expect(state.version.value).toBe(3);
    expect(asked.map((a) => a.key)).toEqual(["GET wall", "POST proposals", "POST changes", "POST undo"]);
  });

  it("shows any other as a proposal and makes it when applied, on the version it was looked at", async () => {
    answers["POST proposals"] = () => ({ body: proposal(false, 5) });
    answers["POST changes"] = () => ({ body: { version: 6, sentence: "Move" } });
    const asked = server(answers);
    const state = useWall(7);
    await state.load();
    await state.propose(change);
    expect(state.shown.value?.version).toBe(5);
    expect(asked.map((a) => a.key)).not.toContain("POST changes");
    await state.apply();
    expect(asked.find((a) => a.key === "POST changes")?.body).toEqual({ version: 5, seen: true, change });
  });

  it("keeps a change back from students only while it is proposed", async () => {
    answers["POST proposals"] = () => ({ body: proposal(false) });
    answers["POST changes"] = () => ({ body: { version: 2, sentence: "Move" } });
    const asked = server(answers);
    const state = useWall(7);
    await state.load();
    await state.propose(change);
    await state.see(false);
    expect(asked.filter((a) => a.key === "POST proposals")).toHaveLength(2);
    await state.apply();
    expect(asked.find((a) => a.key === "POST changes")?.body).toEqual({ version: 1, seen: false, change });
    expect(state.seen.value).toBe(true);
  });

  it("discards without asking the server", async () => {
    answers["POST proposals"] = () => ({ body: proposal(false) });
    const asked = server(answers);
    const state = useWall(7);
    await state.load();
    await state.propose(change);
    const before = asked.length;
    state.discard();
    expect(state.proposal.value).toBeNull();
    expect(asked.length).toBe(before);
  });

  it("after a conflict keeps the change and shows what it does now", async () => {
    let version = 1;
    answers["GET wall"] = () => ({ body: wallOf(version) });
    answers["POST proposals"] = () => ({ body: proposal(false, version) });
    answers["POST changes"] = () => {
      version = 2;
      return { status: 409, body: { type: "/problems/version-conflict", detail: "Changed elsewhere." } };
    };
    server(answers);
    const state = useWall(7);
    await state.load();
    await state.propose(change);
    await state.apply();
    expect(state.problem.value).toBe("Changed elsewhere.");
    expect(state.pending.value).toEqual(change);
    expect(state.proposal.value?.version).toBe(2);
  });

  it("takes what the change does now from the answer that refused it", async () => {
    answers["POST proposals"] = () => ({ body: proposal(false) });
    answers["POST changes"] = () => ({
      status: 409,
      body: { type: "/problems/version-conflict", detail: "Changed elsewhere.", proposal: proposal(false, 2) },
    });
    const asked = server(answers);
    const state = useWall(7);
    await state.load();
    await state.propose(change);
    await state.apply();
    expect(state.proposal.value?.version).toBe(2);
    expect(asked.filter((a) => a.key === "POST proposals")).toHaveLength(1);
  });

  it("says a refusal and keeps the wall", async () => {
    answers["POST proposals"] = () => ({ status: 422, body: { detail: "It cannot come earlier." } });
    server(answers);
    const state = useWall(7);
    await state.load();
    expect(await state.propose(change)).toBe(false);
    expect(state.problem.value).toBe("It cannot come earlier.");
    expect(state.wall.value?.version).toBe(1);
  });

  it("says when the server does not answer", async () => {
    vi.stubGlobal("fetch", () => Promise.reject(new TypeError("failed")));
    const state = useWall(7);
    await state.load();
    expect(state.problem.value).toContain("does not answer");
  });

  it("keeps days that did not change as the same objects", async () => {
    const first = wallOf();
    answers["GET wall"] = () => ({ body: first });
    server(answers);
    const state = useWall(7);
    await state.load();
    const before = state.wall.value!;
    const second = wallOf(2);
    second.weeks[1]!.days[2] = day("2026-10-14", { teaches: false });
    answers["GET wall"] = () => ({ body: second });
    await state.load();
    expect(state.wall.value!.weeks[0]).toBe(before.weeks[0]);
    expect(state.wall.value!.weeks[1]!.days[1]).toBe(before.weeks[1]!.days[1]);
    expect(state.wall.value!.weeks[1]!.days[2]).not.toBe(before.weeks[1]!.days[2]);
  });

  it("makes one step after the other when keys come fast", async () => {
    answers["POST undo"] = () => ({ body: { version: 2, sentence: "Undo" } });
    const asked = server(answers);
    const state = useWall(7);
    await state.load();
    await Promise.all([state.undo(), state.undo()]);
    expect(asked.filter((a) => a.key === "POST undo")).toHaveLength(2);
    expect(asked.map((a) => a.key)).toEqual(["GET wall", "POST undo", "GET wall", "POST undo", "GET wall"]);
  });

  it("undoes what was applied a moment before, and takes back what is only proposed", async () => {
    answers["POST proposals"] = () => ({ body: proposal(false, 1) });
    answers["POST changes"] = () => ({ body: { version: 2, sentence: "Move" } });
    answers["POST undo"] = () => ({ body: { version: 3, sentence: "Undo: Move" } });
    const asked = server(answers);
    const state = useWall(7);
    await state.load();
    await state.propose(change);
    await state.undo();
    expect(state.proposal.value).toBeNull();
    await state.propose(change);
    await Promise.all([state.apply(), state.undo()]);
    expect(asked.filter((a) => a.key === "POST undo")).toHaveLength(1);
    expect(asked.slice(-4).map((a) => a.key)).toEqual(["POST changes", "GET wall", "POST undo", "GET wall"]);
  });
});
