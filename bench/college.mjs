// Many workspaces on one server: made by SQL from one term, then opened and asked for previews. Node's own modules only.
// node bench/college.mjs JAR [MANY [RATE [SECONDS]]]; MATSURI_DATABASE_URL and _USER for PostgreSQL, else H2 in a new folder.
import { execFileSync, spawn } from "node:child_process";
import {
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { performance } from "node:perf_hooks";

const [jar, many = "10000", rate = "50", seconds = "30"] =
  process.argv.slice(2);
const lib = join(dirname(jar), "lib");
const elsewhere = process.env.MATSURI_DATABASE_URL;
const data = mkdtempSync(join(tmpdir(), "matsuri-college-"));
const url = elsewhere ?? `jdbc:h2:file:${data}/matsuri`;
const driver = readdirSync(lib).find((f) =>
  f.startsWith(elsewhere ? "postgresql" : "h2-"),
);
const port = 8791;
const base = `http://localhost:${port}`;
const PASSWORD = "herons over the weir";
const sleep = (ms) => new Promise((r) => setTimeout(r, ms));
const quantile = (list, q) =>
  [...list].sort((a, b) => a - b)[
    Math.min(list.length - 1, Math.floor(list.length * q))
  ];
const said = (list) =>
  `median ${quantile(list, 0.5).toFixed(1)}, p95 ${quantile(list, 0.95).toFixed(1)} ms`;
let child;
process.on("exit", () => {
  child?.kill("SIGKILL");
  rmSync(data, { recursive: true, force: true });
});

async function start() {
  const from = performance.now();
  child = spawn(
    "java",
    [
      "-Xmx512m",
      "-XX:+UseSerialGC",
      "-XX:+ExitOnOutOfMemoryError",
      "-jar",
      jar,
      `--server.port=${port}`,
    ]
      .concat([
        `--matsuri.data=${data}`,
        "--matsuri.today=2026-10-07",
        "--matsuri.first-code=WREN-2345",
      ])
      .concat(["--matsuri.password-strength=4"]),
    {
      stdio: ["ignore", "ignore", "inherit"],
      env: { ...process.env, MALLOC_ARENA_MAX: "2" },
    },
  );
  for (;;) {
    if (child.exitCode !== null) throw new Error("the server ended");
    try {
      if ((await fetch(base + "/actuator/health")).ok) break;
    } catch {
      await sleep(50);
    }
  }
  return performance.now() - from;
}
async function stop() {
  const ended = new Promise((r) => child.on("exit", r));
  child.kill("SIGTERM");
  await ended;
}

/** One person, with the cookies of a sign-in. */
class Person {
  cookies = new Map();
  async ask(method, path, body, type = "application/json") {
    const headers = {
      Cookie: [...this.cookies].map(([k, v]) => `${k}=${v}`).join("; "),
    };
    if (body !== undefined) headers["Content-Type"] = type;
    if (method !== "GET")
      headers["X-XSRF-TOKEN"] = this.cookies.get("XSRF-TOKEN") ?? "";
    const answer = await fetch(base + path, { method, headers, body });
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

console.log(`first start ${((await start()) / 1000).toFixed(1)} s`);
const first = new Person();
await first.ask("GET", "/api/welcome");
const account = {
  signIn: "who1",
  displayName: "Who 1",
  password: PASSWORD,
  code: "WREN-2345",
};
await first.ask("POST", "/api/accounts", JSON.stringify(account));
await first.ask("GET", "/api/me");
const made = await first.ask(
  "POST",
  "/api/terms",
  readFileSync("demo/autumn-2026.json"),
  "application/octet-stream",
);
if (made.status !== 201) throw new Error(made.text);
await stop();
let from = performance.now();
execFileSync(
  "java",
  ["-Xmx1g", "-cp", join(lib, driver), "bench/college/Fill.java", url].concat([
    elsewhere ? process.env.MATSURI_DATABASE_USER : "sa",
    process.env.MATSURI_DATABASE_PASSWORD ?? "",
    many,
  ]),
  { stdio: ["ignore", "ignore", "inherit"] },
);
console.log(
  `${many} workspaces filled in ${((performance.now() - from) / 1000).toFixed(0)} s`,
);
if (!elsewhere)
  console.log(
    `database ${(statSync(join(data, "matsuri.mv.db")).size / 1e9).toFixed(2)} GB`,
  );
console.log(`start with them ${((await start()) / 1000).toFixed(1)} s`);

const random = (() => {
  let x = 20261130;
  return (below) => (
    (x = (x * 1103515245 + 12345) % 2147483648),
    Math.floor((x / 2147483648) * below)
  );
})();
const people = [];
const opened = [];
for (let n = 0; n < 220; n++) {
  const id = 1 + random(Number(many));
  const person = await new Person().signIn(`who${id}`);
  from = performance.now();
  const wall = await person.ask("GET", `/api/terms/${id}/wall`);
  if (wall.status !== 200) throw new Error(wall.text);
  if (n >= 20) opened.push(performance.now() - from); // the first ones warm it up
  people.push({ person, id });
}
console.log(`a term opened that nobody had open: ${said(opened)}`);

async function previews(much, warm) {
  const took = [];
  const late = [];
  const running = [];
  const begun = performance.now();
  for (let n = 0; n < much; n++) {
    const due = begun + (n * 1000) / Number(rate);
    const wait = due - performance.now();
    if (wait > 0) await sleep(wait);
    late.push(Math.max(0, performance.now() - due));
    const { person, id } = people[random(people.length)];
    const day = new Date(Date.UTC(2026, 9, 12 + random(50)))
      .toISOString()
      .slice(0, 10);
    const change = {
      kind: "add-closure",
      closure: { first: day, last: day, reason: `Step ${n}`, kind: "weather" },
    };
    const at = performance.now();
    running.push(
      person
        .ask("POST", `/api/terms/${id}/proposals`, JSON.stringify(change))
        .then((a) => {
          if (a.status !== 200) throw new Error(a.text);
          took.push(performance.now() - at);
        }),
    );
  }
  await Promise.all(running);
  const a_second = much / ((performance.now() - begun) / 1000);
  const rss =
    Number(
      /VmRSS:\s+(\d+)/.exec(
        readFileSync(`/proc/${child.pid}/status`, "utf8"),
      )[1],
    ) / 1024;
  console.log(
    `${warm ? "to warm up: " : ""}previews at ${rate} a second (${a_second.toFixed(0)} answered), the client on the same machine: ` +
      `${said(took)}; resident ${rss.toFixed(0)} MB`,
  );
}
await previews(Number(rate) * Number(seconds), true);
await previews(Number(rate) * Number(seconds), false);
await stop();
process.exit(0);
