// Starts the server and measures over HTTP: resident memory and the preview of a closure. Node's own modules only.
import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync, existsSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { performance } from "node:perf_hooks";

const [jar, what] = process.argv.slice(2);
const port = 8790;
const base = `http://localhost:${port}`;
const sleep = (ms) => new Promise((r) => setTimeout(r, ms));
const quantile = (list, q) =>
  [...list].sort((a, b) => a - b)[
    Math.min(list.length - 1, Math.floor(list.length * q))
  ];

/** As by `./matsuri start`, with the demo's data. */
async function start(archive, dump, over) {
  const data = over ?? mkdtempSync(join(tmpdir(), "matsuri-bench-"));
  const flags = dump
    ? [`-XX:ArchiveClassesAtExit=${archive}`]
    : archive
      ? [`-XX:SharedArchiveFile=${archive}`]
      : ["-Xshare:auto"];
  const from = performance.now();
  const child = spawn(
    "java",
    [
      "@deploy/small.args",
      ...flags,
      "-jar",
      jar,
      `--server.port=${port}`,
      `--matsuri.data=${data}`,
      "--matsuri.demo=demo",
      "--matsuri.today=2026-10-07",
      // what the server itself took, in microseconds, a line each
      "--server.tomcat.accesslog.enabled=true",
      "--server.tomcat.accesslog.buffered=false",
      `--server.tomcat.accesslog.directory=${data}`,
      "--server.tomcat.accesslog.prefix=served",
      "--server.tomcat.accesslog.rotate=false",
      "--server.tomcat.accesslog.pattern=%s %D",
    ],
    { stdio: "ignore", env: { ...process.env, MALLOC_ARENA_MAX: "2" } },
  );
  running.add(child);
  child.on("exit", () => running.delete(child));
  for (;;) {
    if (child.exitCode !== null)
      throw new Error("the server ended; is port " + port + " busy?");
    try {
      if ((await fetch(base + "/")).ok) break;
    } catch {
      await sleep(20);
    }
  }
  return { child, ms: performance.now() - from, served: join(data, "served.log"), data };
}
async function stop(child) {
  const ended = new Promise((r) => child.on("exit", r));
  child.kill("SIGTERM");
  await ended;
}
// a server that is left when something fails is ended with this process
const running = new Set();
process.on("exit", () => running.forEach((child) => child.kill("SIGKILL")));
const rss = (pid) =>
  Number(
    /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))[1],
  ) / 1024;

const archive = join(
  mkdtempSync(join(tmpdir(), "matsuri-cds-")),
  "classes.jsa",
);
await stop((await start(archive, true)).child);
/** Somebody who signs in to the demo. */
async function signedIn() {
  const jar_ = new Map();
  async function ask(path, options = {}) {
    const answer = await fetch(base + path, {
      ...options,
      headers: {
        ...options.headers,
        cookie: [...jar_].map(([k, v]) => `${k}=${v}`).join("; "),
        "X-XSRF-TOKEN": jar_.get("XSRF-TOKEN") ?? "",
      },
    });
    for (const c of answer.headers.getSetCookie()) {
      const [pair] = c.split(";");
      jar_.set(
        pair.slice(0, pair.indexOf("=")),
        pair.slice(pair.indexOf("=") + 1),
      );
    }
    return answer;
  }
  await ask("/api/welcome");
  await ask("/api/session", {
    method: "POST",
    body: new URLSearchParams({
      signIn: "tolvanen",
      password: "lantern-paper",
    }),
  });
  await ask("/api/me");
  return ask;
}
if (what === "all" || what === "http") {
  const { child } = await start(existsSync(archive) ? archive : null, false);
  const ask = await signedIn();
  const body = readFileSync("demo/flood-warning.json", "utf8");
  const times = [];
  for (let n = 0; n < 700; n++) {
    const from = performance.now();
    const answer = await ask(
      "/api/terms/1/proposals?course=HYD%20210&section=A",
      { method: "POST", body, headers: { "Content-Type": "application/json" } },
    );
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error("proposal: " + answer.status);
    if (n >= 400) times.push(performance.now() - from);
  }
  console.log(
    `closure previewed over HTTP, 300 after 400 to warm up: median ${quantile(times, 0.5).toFixed(1)} ms, p95 ${quantile(times, 0.95).toFixed(1)} ms`,
  );
  console.log(`resident memory after 700 previews of the demo, -Xmx256m: ${rss(child.pid).toFixed(0)} MB`);
  // all ways out of the same closure, each with its weeks and what goes amiss
  const ways = [];
  for (let n = 0; n < 100; n++) {
    const from = performance.now();
    const answer = await ask("/api/terms/1/ways", {
      method: "POST",
      body: JSON.stringify({ course: "HYD 210", section: "A", change: JSON.parse(body), tidy: true }),
      headers: { "Content-Type": "application/json" },
    });
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error("ways: " + answer.status);
    if (n >= 50) ways.push(performance.now() - from);
  }
  console.log(
    `all ways out of it over HTTP, 50 after 50 to warm up: median ${quantile(ways, 0.5).toFixed(1)} ms, p95 ${quantile(ways, 0.95).toFixed(1)} ms`,
  );
  // a run of ten days painted on a term of two courses with two sections each and 500 dated things
  const plan = {
    matsuri: 1,
    term: { name: "Bench", first: "2026-08-31", last: "2026-12-18" },
    courses: ["ONE 1", "TWO 2"].map((code) => ({
      code,
      title: code,
      sections: ["A", "B"].map((section, n) => ({
        code: section,
        meets: [{ rule: `FREQ=WEEKLY;BYDAY=${n ? "TU,TH" : "MO,WE,FR"}`, start: "10:00", minutes: 50 }],
      })),
      units: [
        {
          id: "U",
          code: "U",
          title: "Unit",
          lessons: Array.from({ length: 30 }, (_, n) => ({ id: `L${n}`, title: `Lesson ${n}` })),
          items: Array.from({ length: 250 }, (_, n) => ({
            id: `I${n}`,
            kind: "homework",
            title: `Work ${n}`,
            due: { lesson: `L${n % 30}`, edge: "start", plus: n % 3, in: "teaching-days" },
          })),
        },
      ],
    })),
  };
  const opened = await ask("/api/terms", {
    method: "POST",
    body: JSON.stringify(plan),
    headers: { "Content-Type": "application/octet-stream" },
  });
  const { id } = await opened.json();
  const painted = [];
  for (let n = 0; n < 400; n++) {
    const first = `2026-10-${String(5 + (n % 15)).padStart(2, "0")}`;
    const last = `2026-10-${String(14 + (n % 15)).padStart(2, "0")}`;
    const from = performance.now();
    const answer = await ask(`/api/terms/${id}/proposals?view=term`, {
      method: "POST",
      body: JSON.stringify({ kind: "add-closure", closure: { first, last, reason: "Painted" } }),
      headers: { "Content-Type": "application/json" },
    });
    await answer.json();
    if (!answer.ok) throw new Error("painting: " + answer.status);
    if (n >= 100) painted.push(performance.now() - from);
  }
  console.log(
    `a run of ten days painted, 500 dated things in 2 courses, 300 after 100 to warm up: median ${quantile(painted, 0.5).toFixed(1)} ms, p95 ${quantile(painted, 0.95).toFixed(1)} ms`,
  );
  // a course rolled over, looked at in all ways: the demo's, and one of 280 dated things in two sections
  for (const [from, course] of [[1, "HYD 210"], [id, "ONE 1"]]) {
    const looked = [];
    let rows = 0;
    for (let n = 0; n < 80; n++) {
      const begin = performance.now();
      const answer = await ask("/api/rollover-previews", {
        method: "POST",
        body: JSON.stringify({ from, to: 4, courses: [course], units: [], by: n % 2 ? "rule" : "class", taken: [], fit: false, again: false }),
        headers: { "Content-Type": "application/json" },
      });
      const view = await answer.json();
      if (!answer.ok || view.refused) throw new Error("rollover: " + answer.status + view.refused);
      rows = view.rows.length;
      if (n >= 30) looked.push(performance.now() - begin);
    }
    console.log(
      `${course} rolled over, looked at in all seven ways with ${rows} dates, 50 after 30 to warm up: median ${quantile(looked, 0.5).toFixed(1)} ms, p95 ${quantile(looked, 0.95).toFixed(1)} ms`,
    );
  }
  // one change over 200 of those things, with the whole table of dates in the answer
  const bulk = [];
  for (let n = 0; n < 300; n++) {
    const from = performance.now();
    const answer = await ask(`/api/terms/${id}/proposals?view=dates`, {
      method: "POST",
      body: JSON.stringify({
        kind: "redate",
        course: "ONE 1",
        items: Array.from({ length: 200 }, (_, k) => `I${k}`),
        dates: ["due"],
        by: 1 + (n % 4),
        in: "teaching-days",
      }),
      headers: { "Content-Type": "application/json" },
    });
    await answer.json();
    if (answer.status !== 200 && answer.status !== 422) throw new Error("bulk: " + answer.status);
    if (n >= 100) bulk.push(performance.now() - from);
  }
  console.log(
    `200 of 500 things moved later, previewed with the table of dates, 200 after 100 to warm up: median ${quantile(bulk, 0.5).toFixed(1)} ms, p95 ${quantile(bulk, 0.95).toFixed(1)} ms`,
  );
  console.log(
    `resident memory after 700 more on the term of 500 things: ${rss(child.pid).toFixed(0)} MB`,
  );
  await stop(child);
}
if (what === "all" || what === "pages") {
  const { child, served } = await start(existsSync(archive) ? archive : null, false);
  const ask = await signedIn();
  const post = (path, body, type = "application/json") =>
    ask(path, { method: "POST", body: typeof body === "string" ? body : JSON.stringify(body), headers: { "Content-Type": type } });
  // one section of 500 students and 120 dated things, told all of it
  const plan = {
    matsuri: 1,
    term: { name: "Bench", first: "2026-08-31", last: "2026-12-18", zone: "America/Chicago" },
    courses: [
      {
        code: "ONE 1",
        title: "One",
        sections: [
          {
            code: "A",
            meets: [{ rule: "FREQ=WEEKLY;BYDAY=MO,WE,FR", start: "10:00", minutes: 50, place: "Weir House 2" }],
            students: Array.from({ length: 500 }, (_, n) => ({ id: `9${n}`, name: `Student ${n}`, mail: `s${n}@bench.example` })),
          },
        ],
        units: Array.from({ length: 4 }, (_, u) => ({
          id: `U${u}`,
          code: `U${u}`,
          title: `Unit ${u}`,
          lessons: Array.from({ length: 10 }, (_, n) => ({ id: `L${u}-${n}`, title: `Lesson ${n} of unit ${u}` })),
          items: Array.from({ length: 30 }, (_, n) => ({
            id: `I${u}-${n}`,
            kind: "homework",
            title: `Work ${n} of unit ${u}`,
            points: 10,
            minutes: 60,
            instructions: "Read the sheet, **measure** twice and write what differs.",
            opens: { lesson: `L${u}-${n % 10}`, edge: "end" },
            due: { lesson: `L${u}-${n % 10}`, edge: "start", plus: (n % 3) + 2, in: "days", time: "17:00" },
          })),
        })),
      },
    ],
  };
  const { id } = await (await post("/api/terms", plan, "application/octet-stream")).json();
  const tell = (version, why) =>
    post(`/api/terms/${id}/changes`, { version, seen: true, change: { kind: "tell", course: "ONE 1", section: "A", ...why } });
  if (!(await tell(1, {})).ok) throw new Error("not told");
  const of = { course: "ONE 1", section: "A" };
  const made = await (await post(`/api/terms/${id}/links`, of)).json();
  const page = new URL(made.address).pathname;
  await post(`/api/terms/${id}/links/students`, of);
  const table = await (await ask(`/api/terms/${id}/links/students.csv?course=ONE%201&section=A`)).text();
  const own = table.trim().split("\r\n").slice(1).map((row) => new URL(row.split(",").at(-1)).pathname);
  const read = async (path, headers = {}) => {
    const from = performance.now();
    const answer = await fetch(base + path, { headers });
    const body = await answer.arrayBuffer();
    return { ms: performance.now() - from, status: answer.status, size: body.byteLength, tag: answer.headers.get("etag") };
  };
  const many = async (n, path, headers) => {
    const all = [];
    for (let k = 0; k < n; k++) all.push((await read(path(k), headers)).ms);
    const inside = readFileSync(served, "utf8")
      .trim()
      .split("\n")
      .slice(-n)
      .map((line) => Number(line.split(" ")[1]) / 1000);
    return `median ${quantile(all, 0.5).toFixed(1)} ms, p95 ${quantile(all, 0.95).toFixed(1)} ms; in the server median ${quantile(inside, 0.5).toFixed(1)} ms`;
  };
  const { gzipSync } = await import("node:zlib");
  for (const [name, path] of [["page", page], ["whole term", `${page}?term=true`], ["sheet", `${page}/sheet`]]) {
    const text = Buffer.from(await (await fetch(base + path)).arrayBuffer());
    console.log(`${name} of 120 dated things: ${(text.length / 1000).toFixed(1)} kB, ${(gzipSync(text).length / 1000).toFixed(1)} kB compressed`);
  }
  // the machine code of a server that has run for a while: fewer calls than this still measure its compiler
  const { tag } = await read(`${page}/dates.ics`);
  for (let round = 0; round < 4; round++) {
    await many(500, () => page);
    await many(250, (k) => `${page}/dates.ics?x=w${round}-${k}`);
    await many(1000, () => `${page}/dates.ics`, { "If-None-Match": tag });
  }
  console.log(`page over HTTP, 300 after 2,000 to warm up: ${await many(300, () => page)}`);
  console.log(`feed written anew, 100 after 1,000 to warm up: ${await many(100, (k) => `${page}/dates.ics?x=${k}`)}`);
  console.log(`feed unchanged (304), 200 after 4,000 to warm up: ${await many(200, () => `${page}/dates.ics`, { "If-None-Match": tag })}`);
  // each of 50 readers a page every five seconds, for twenty
  const spread = async (paths, over) => {
    const all = await Promise.all(
      paths.map(async (path) => {
        await sleep(Math.random() * over);
        return read(path);
      }),
    );
    const wrong = all.filter((one) => one.status !== 200).length;
    return `p95 ${quantile(all.map((one) => one.ms), 0.95).toFixed(1)} ms, ${wrong} errors`;
  };
  console.log(`50 readers, a page each every 5 s for 20 s: ${await spread(Array.from({ length: 200 }, () => page), 20_000)}`);
  await post(`/api/terms/${id}/changes`, {
    version: 2,
    seen: true,
    change: { kind: "add-closure", closure: { first: "2026-10-09", last: "2026-10-09", reason: "Flood", kind: "weather" } },
  });
  console.log(`500 students within ten seconds of a telling, each their own page: ${await spread(own, 10_000)}`);
  // every student is reminded of every date, by letters of an hour before; time stands still until it is let run
  await ask(`/api/terms/${id}/reminders?course=ONE%201`);
  await post(`/api/terms/${id}/changes`, {
    version: 3,
    change: { kind: "put-reminders", course: "ONE 1", reminders: [{ id: "r", lead: { minutes: 60 } }] },
  });
  for (const [name, until] of [["to warm up", "2026-10-23T23:00"], ["then", "2026-11-13T23:00"]]) {
    const from = performance.now();
    const { letters } = await (await post(`/api/terms/${id}/reminders/clock`, { until })).json();
    const seconds = (performance.now() - from) / 1000;
    console.log(`${name} ${letters} reminders planned, claimed and written, moment by moment: ${seconds.toFixed(1)} s, ${((seconds / letters) * 10_000).toFixed(1)} s for 10,000`);
  }
  await stop(child);
}
if (what === "all" || what === "hours") {
  const { child, data } = await start(existsSync(archive) ? archive : null, false);
  const ask = await signedIn();
  const post = (path, body, type = "application/json") =>
    ask(path, { method: "POST", body: JSON.stringify(body), headers: { "Content-Type": type } });
  const { id } = await (
    await post(
      "/api/terms",
      {
        matsuri: 1,
        term: { name: "Bench", first: "2026-08-31", last: "2026-12-18", zone: "America/Chicago" },
        courses: [
          {
            code: "ONE 1",
            title: "One",
            sections: [
              {
                code: "A",
                meets: [{ rule: "FREQ=WEEKLY;BYDAY=MO", start: "10:00", minutes: 50 }],
                students: Array.from({ length: 200 }, (_, n) => ({ id: `9${n}`, name: `Student ${n}`, mail: `s${n}@bench.example` })),
              },
            ],
          },
        ],
        officeHours: [
          {
            id: "oh",
            title: "Office hours",
            windows: [{ rule: "FREQ=WEEKLY;BYDAY=TH,FR", start: "13:00", minutes: 60 }],
            booking: { minutes: 15 },
          },
        ],
      },
      "application/octet-stream",
    )
  ).json();
  await post(`/api/terms/${id}/links/students`, { course: "ONE 1", section: "A" });
  const table = await (await ask(`/api/terms/${id}/links/students.csv?course=ONE%201&section=A`)).text();
  const own = table.trim().split("\r\n").slice(1).map((row) => new URL(row.split(",").at(-1)).pathname);
  const press = async (path, slot) => {
    const from = performance.now();
    try {
      const answer = await fetch(`${base}${path}/hours`, { method: "POST", body: new URLSearchParams({ slot: `${id}/oh ${slot}` }) });
      const said = /role="status"[^>]*>([^<]*)</.exec(await answer.text())?.[1] ?? "";
      return { ms: performance.now() - from, status: answer.status, said };
    } catch {
      return { ms: 0, status: 0, said: "" };
    }
  };
  const said = (all) => {
    const booked = all.filter((a) => a.said.startsWith("Booked")).length;
    const told = all.filter((a) => a.said.includes("this time is taken")).length;
    return `${booked} booked, ${told} told that it is taken, ${all.filter((a) => a.status !== 200).length} errors`;
  };
  const held = async (as, slot) =>
    (await (await as(`/api/terms/${id}/hours`)).json()).bookings.filter((b) => b.slot.startsWith(slot) && b.state === "held").length;
  await Promise.all(own.map((path) => fetch(`${base}${path}/hours`)));
  const first = await Promise.all(own.map((path) => press(path, "2026-10-08T13:00")));
  console.log(
    `200 people at one last place: ${said(first)}; median ${quantile(first.map((a) => a.ms), 0.5).toFixed(0)} ms, p95 ${quantile(first.map((a) => a.ms), 0.95).toFixed(0)} ms`,
  );
  // again, and the server is killed in the middle; what was said to be booked is there, once
  const asked = own.map((path) => press(path, "2026-10-09T13:30"));
  await sleep(1500);
  const ended = new Promise((r) => child.on("exit", r));
  child.kill("SIGKILL");
  await ended;
  const cut = await Promise.all(asked);
  const again = await start(existsSync(archive) ? archive : null, false, data);
  const later = await signedIn();
  const was = await held(later, "2026-10-09T13:30");
  const second = await Promise.all(own.map((path) => press(path, "2026-10-09T13:30")));
  console.log(
    `killed in the middle: ${cut.filter((a) => a.said.startsWith("Booked")).length} said to be booked, ${was} there after a start; pressed again: ${said(second)}; held ${await held(later, "2026-10-09T13:30")}`,
  );
  await stop(again.child);
}
