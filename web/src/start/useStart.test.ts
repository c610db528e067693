import { mount } from "@vue/test-utils";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { defineComponent, h } from "vue";
import { useStart } from "./useStart";

/** The server: keeps one draft, understands what has a first day, and notes what it is asked. */
function server() {
  const asked: string[] = [];
  const kept = { body: "", fails: false };
  vi.stubGlobal("fetch", async (request: Request) => {
    const path = new URL(request.url).pathname;
    const key = `${request.method} ${path}`;
    asked.push(key);
    const answer = (body: unknown, status = 200) =>
      new Response(status === 204 ? null : JSON.stringify(body), {
        status,
        headers: { "Content-Type": "application/json" },
      });
    if (kept.fails) return answer({ detail: "Not now." }, 500);
    if (key === "GET /api/drafts/new-term") return answer({ body: kept.body });
    if (key === "PUT /api/drafts/new-term") {
      kept.body = ((await request.json()) as { body: string }).body;
      return answer(null, 204);
    }
    if (key === "DELETE /api/drafts/new-term") {
      kept.body = "";
      return answer(null, 204);
    }
    if (key === "POST /api/starts/understood") {
      const form = (await request.json()) as { first: string };
      return answer({
        ready: form.first !== "",
        said: [],
        daysOff: [],
        outline: [],
        units: 0,
        lessons: 0,
        sessionsAsked: 0,
        items: 0,
      });
    }
    if (key === "POST /api/starts") return answer({ id: 12 }, 201);
    return answer({ detail: `nobody expects ${key}` }, 404);
  });
  return { asked, kept };
}

function begin() {
  let start!: ReturnType<typeof useStart>;
  const wrapper = mount(
    defineComponent({
      setup() {
        start = useStart();
        return () => h("div");
      },
    }),
  );
  return { start, wrapper };
}
const settled = async () => {
  for (let n = 0; n < 20; n++) await vi.advanceTimersByTimeAsync(30);
};

describe("a new term while it is typed", () => {
  let at: ReturnType<typeof server>;
  beforeEach(() => {
    vi.useFakeTimers();
    at = server();
  });

  it("is understood and kept a moment after the last key, not at each", async () => {
    const { start } = begin();
    await settled();
    at.asked.length = 0;
    start.form.first = "3";
    await vi.advanceTimersByTimeAsync(100);
    start.form.first = "31 aug";
    await settled();
    expect(at.asked.filter((k) => k.startsWith("PUT"))).toHaveLength(1);
    expect(JSON.parse(at.kept.body)).toMatchObject({ first: "31 aug" });
    expect(start.understood.value?.ready).toBe(true);
    expect(start.kept.value).toBe("kept");
  });

  it("is there again when one comes back", async () => {
    at.kept.body = JSON.stringify({ name: "Autumn", outline: "Basins" });
    const { start } = begin();
    await settled();
    expect(start.form.name).toBe("Autumn");
    expect(start.form.outline).toBe("Basins");
    expect(start.form.section).toBe("A");
  });

  it("is kept at once when the page is left", async () => {
    const { start } = begin();
    await settled();
    start.form.name = "Half a name";
    await vi.advanceTimersByTimeAsync(5);
    await start.leave();
    expect(at.kept.body).toContain("Half a name");
  });

  it("is made, and its draft goes", async () => {
    const { start } = begin();
    await settled();
    start.form.first = "31 aug";
    await settled();
    expect(await start.start()).toBe(12);
    expect(at.kept.body).toBe("");
  });

  it("stays as it was typed when the server fails", async () => {
    const { start } = begin();
    await settled();
    at.kept.fails = true;
    start.form.name = "Autumn";
    await settled();
    expect(start.problem.value).toBe("Not now.");
    expect(await start.start()).toBeNull();
    expect(start.form.name).toBe("Autumn");
  });

  it("begins again empty", async () => {
    at.kept.body = JSON.stringify({ name: "Autumn" });
    const { start } = begin();
    await settled();
    await start.beginAgain();
    expect(start.form.name).toBe("");
    expect(JSON.parse(at.kept.body)).toMatchObject({ name: "" });
  });
});
