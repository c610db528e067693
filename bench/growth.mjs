// What a change adds to the database: so many changes of six kinds at random, an eighth of them taken back. Node's own modules only.
// node bench/growth.mjs JAR [MANY]
import { statSync } from "node:fs";
import { join } from "node:path";
import { Server, numbers } from "./server.mjs";

const [jar, many = "1500"] = process.argv.slice(2);
const server = new Server(jar, "256m");
await server.start();
const { person, term } = await server.first();
const size = () => statSync(join(server.data, "matsuri.mv.db")).size;
const random = numbers(5);
const any = (list) => list[random(list.length)];
const LESSONS = ["SE2", "SE4", "CH2", "CH3", "FL1", "FL2", "FL3", "RE1", "RE2"];

function change(n) {
  const day = `2026-11-${String(2 + random(26)).padStart(2, "0")}`;
  const lesson = any(LESSONS);
  return any([
    { kind: "add-closure", closure: { first: day, last: day, reason: `Flood ${n}`, kind: "weather" } },
    { kind: "shift", course: "HYD 210", section: any(["A", "B"]), lessons: [lesson], by: any([1, -1]), in: "sessions" },
    { kind: "move", course: "HYD 210", items: [any(["log-8", "log-9", "log-10"])], to: day },
    { kind: "pin", course: "HYD 210", section: "A", lesson, date: day },
    { kind: "set-length", course: "HYD 210", section: "A", lesson, length: 1 + random(2) },
    { kind: "put-day-note", course: "HYD 210", note: { date: day, text: `Note ${n}`, own: true } },
  ]);
}

await server.stop();
const before = size();
await server.start();
let version = 1;
let made = 0;
for (let n = 0; n < Number(many); n++) {
  const [path, body] = random(8) === 0 ? ["undo", { version }] : ["changes", { version, change: change(n) }];
  const answer = await person.ask("POST", `/api/terms/${term}/${path}`, JSON.stringify(body));
  if (answer.status >= 500) throw new Error(answer.text);
  if (answer.status === 200) {
    made++;
    version = JSON.parse(answer.text).version;
  }
}
const each = (bytes) => `${(bytes / 1024 / made).toFixed(1)} KB a change`;
console.log(`${made} changes made; while it runs ${each(size() - before)} (${(size() / 1e6).toFixed(1)} MB)`);
await server.stop();
console.log(`after a clean stop ${each(size() - before)} (${(size() / 1e6).toFixed(1)} MB)`);
process.exit(0);
