// What measurements of the whole server share: it is started, somebody signs in and asks. Node's own modules only.
import { spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { performance } from "node:perf_hooks";

export const sleep = (ms) => new Promise((r) => setTimeout(r, ms));
export const quantile = (list, q) =>
  [...list].sort((a, b) => a - b)[
    Math.min(list.length - 1, Math.floor(list.length * q))
  ];
export const said = (list) =>
  `median ${quantile(list, 0.5).toFixed(1)}, p95 ${quantile(list, 0.95).toFixed(1)} ms`;

/** Whole numbers below a bound, the same in each run. */
export function numbers(seed) {
  let x = seed;
  return (below) => (
    (x = (x * 1103515245 + 12345) % 2147483648),
    Math.floor((x / 2147483648) * below)
  );
}

const PASSWORD = "herons over the weir";

/** A server on a folder of its own, which is gone with this process. */
export class Server {
  data = mkdtempSync(join(tmpdir(), "matsuri-bench-"));
  child;
  constructor(jar, heap, port = 8791) {
    this.jar = jar;
    this.heap = heap;
    this.port = port;
    this.base = `http://localhost:${port}`;
    process.on("exit", () => {
      this.child?.kill("SIGKILL");
      rmSync(this.data, { recursive: true, force: true });
    });
  }
  /** In milliseconds, until it is well; with a heap as in `deploy/`, and the archive of classes that the first run leaves. */
  async start() {
    const archive = join(this.data, "classes.jsa");
    const from = performance.now();
    this.child = spawn(
      "java",
      [
        "@deploy/college.args",
        `-Xmx${this.heap}`,
        existsSync(archive)
          ? `-XX:SharedArchiveFile=${archive}`
          : `-XX:ArchiveClassesAtExit=${archive}`,
        "-jar",
        this.jar,
        `--server.port=${this.port}`,
        `--matsuri.data=${this.data}`,
        "--matsuri.today=2026-10-07",
        "--matsuri.first-code=WREN-2345",
        "--matsuri.password-strength=4",
      ],
      {
        stdio: ["ignore", "ignore", "inherit"],
        env: { ...process.env, MALLOC_ARENA_MAX: "2" },
      },
    );
    for (;;) {
      if (this.child.exitCode !== null) throw new Error("the server ended");
      try {
        if ((await fetch(this.base + "/actuator/health")).ok) break;
      } catch {
        await sleep(50);
      }
    }
    return performance.now() - from;
  }
  async stop() {
    const ended = new Promise((r) => this.child.on("exit", r));
    this.child.kill("SIGTERM");
    await ended;
  }
  /** Milliseconds of processor since it started; `/proc` counts hundredths of a second. */
  processor() {
    const stat = readFileSync(`/proc/${this.child.pid}/stat`, "utf8");
    const fields = stat.slice(stat.lastIndexOf(")") + 2).split(" ");
    return (Number(fields[11]) + Number(fields[12])) * 10;
  }
  /** Resident memory in MB. */
  resident() {
    const status = readFileSync(`/proc/${this.child.pid}/status`, "utf8");
    return Number(/VmRSS:\s+(\d+)/.exec(status)[1]) / 1024;
  }
  /** The first account, "who1", with the demo's term. */
  async first() {
    const person = new Person(this);
    await person.ask("GET", "/api/welcome");
    const account = {
      signIn: "who1",
      displayName: "Who 1",
      password: PASSWORD,
      code: "WREN-2345",
    };
    await person.ask("POST", "/api/accounts", JSON.stringify(account));
    await person.ask("GET", "/api/me");
    const made = await person.ask(
      "POST",
      "/api/terms",
      readFileSync("demo/autumn-2026.json"),
      "application/octet-stream",
    );
    if (made.status !== 201) throw new Error(made.text);
    return { person, term: JSON.parse(made.text).id };
  }
}

/** One person, with the cookies of a sign-in. */
export class Person {
  cookies = new Map();
  constructor(server) {
    this.base = server.base;
  }
  async ask(method, path, body, type = "application/json") {
    const headers = {
      Cookie: [...this.cookies].map(([k, v]) => `${k}=${v}`).join("; "),
    };
    if (body !== undefined) headers["Content-Type"] = type;
    if (method !== "GET")
      headers["X-XSRF-TOKEN"] = this.cookies.get("XSRF-TOKEN") ?? "";
    const answer = await fetch(this.base + path, { method, headers, body });
    for (const cookie of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie);
      this.cookies.set(name, value);
    }
    return { status: answer.status, text: await answer.text() };
  }
  async signIn(name) {
    await this.ask("GET", "/api/welcome");
    const form = new URLSearchParams({ signIn: name, password: PASSWORD });
    const { status } = await this.ask(
      "POST",
      "/api/session",
      form.toString(),
      "application/x-www-form-urlencoded",
    );
    if (status !== 204) throw new Error(`${name}: ${status}`);
    await this.ask("GET", "/api/me");
    return this;
  }
}
