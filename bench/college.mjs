// Many workspaces on one server: made by SQL from one term, then opened and asked for previews. Node's own modules only.
// A server that has just started compiles for a minute or two: the first SECONDS are told apart from those behind them.
// node bench/college.mjs JAR [MANY [RATE [SECONDS]]]; MATSURI_DATABASE_URL and _USER for PostgreSQL, else H2 in
// a new folder; MATSURI_HEAP for another heap than 512m.
import { execFileSync } from "node:child_process";
import { readdirSync, statSync } from "node:fs";
import { dirname, join } from "node:path";
import { performance } from "node:perf_hooks";
import { Person, Server, numbers, said, sleep } from "./server.mjs";

const [jar, many = "10000", rate = "50", seconds = "120"] =
  process.argv.slice(2);
const lib = join(dirname(jar), "lib");
const elsewhere = process.env.MATSURI_DATABASE_URL;
const server = new Server(jar, process.env.MATSURI_HEAP ?? "512m");
const url = elsewhere ?? `jdbc:h2:file:${server.data}/matsuri`;
const driver = readdirSync(lib).find((f) =>
  f.startsWith(elsewhere ? "postgresql" : "h2-"),
);

console.log(`first start ${((await server.start()) / 1000).toFixed(1)} s`);
await server.first();
await server.stop();
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
    `database ${(statSync(join(server.data, "matsuri.mv.db")).size / 1e9).toFixed(2)} GB`,
  );
console.log(`start with them ${((await server.start()) / 1000).toFixed(1)} s`);

const random = numbers(20261130);
const people = [];
const opened = [];
for (let n = 0; n < 220; n++) {
  const id = 1 + random(Number(many));
  const person = await new Person(server).signIn(`who${id}`);
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
  const spent = server.processor();
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
  console.log(
    `${warm ? "to warm up: " : ""}previews at ${rate} a second (${a_second.toFixed(0)} answered), the client on the same machine: ` +
      `${said(took)}; ${((server.processor() - spent) / much).toFixed(1)} ms of processor each; resident ${server.resident().toFixed(0)} MB`,
  );
}
await previews(Number(rate) * Number(seconds), true);
await previews(Number(rate) * Number(seconds), false);
await server.stop();
process.exit(0);
