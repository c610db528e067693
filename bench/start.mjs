// Measures how long `./matsuri demo` takes, from the command to the first page: on an empty folder and on one that has its
// data; and beside it a start that works out for itself what is otherwise prepared. Node's own modules only.
import { spawn } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { performance } from "node:perf_hooks";
import { quantile, sleep } from "./server.mjs";

const port = 8792;
const folder = mkdtempSync(join(tmpdir(), "matsuri-bench-"));
process.on("exit", () => rmSync(folder, { recursive: true, force: true }));
const ticks = (pid) => {
  const words = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1].split(" ");
  return (Number(words[11]) + Number(words[12])) / 100;
};
/** The server among the processes that the command started. */
const server = (pid) => readFileSync(`/proc/${pid}/task/${pid}/children`, "utf8").trim().split(" ")[0];

/** In milliseconds until the first page is there, and in seconds of processor. */
async function start(name, settings) {
  const data = join(folder, name, "demo");
  mkdirSync(data, { recursive: true });
  const from = performance.now();
  const child = spawn("./matsuri", ["demo", "--port", port, "--data", data], {
    stdio: "ignore",
    env: { ...process.env, ...settings },
  });
  const ended = new Promise((r) => child.on("exit", r));
  for (;;) {
    if (child.exitCode !== null) throw new Error(`the server ended; is port ${port} busy?`);
    try {
      if ((await fetch(`http://localhost:${port}/`)).ok) break;
    } catch {
      await sleep(20);
    }
  }
  const ms = performance.now() - from;
  const cpu = ticks(server(child.pid));
  child.kill("SIGTERM");
  await ended;
  return { ms, cpu };
}

// any setting by the environment makes a start work out its parts itself
const itself = { MATSURI_MOST_ACCOUNTS: "20000" };
const ways = {
  "empty folder": (n) => start(`empty${n}`, {}),
  "filled folder": () => start("filled", {}),
  "empty folder, nothing prepared but the archive of classes": (n) => start(`itself${n}`, itself),
  "filled folder, nothing prepared but the archive of classes": () => start("itself", itself),
};
// what is made once: the demo is prepared, both folders are filled, the archive is written
await start("filled", {});
await start("itself", itself);
const all = new Map(Object.keys(ways).map((way) => [way, []]));
for (let n = 0; n < 5; n++) for (const [way, go] of Object.entries(ways)) all.get(way).push(await go(n));
for (const [way, seen] of all) {
  const ms = seen.map((one) => one.ms);
  console.log(
    `./matsuri demo to the first page, ${way}: median ${quantile(ms, 0.5).toFixed(0)} ms (${Math.min(...ms).toFixed(0)} to ${Math.max(...ms).toFixed(0)}), ${quantile(seen.map((one) => one.cpu), 0.5).toFixed(1)} s of processor`,
  );
}
