// Draws the Wall again after a change that moves 200 of 1,000 dated things, in headless Chromium by WebDriver.
import { spawn } from "node:child_process";
import { createServer } from "node:http";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { extname, join } from "node:path";

const types = {
  ".html": "text/html",
  ".js": "text/javascript",
  ".css": "text/css",
  ".woff2": "font/woff2",
};
const files = createServer((request, response) => {
  const path = request.url === "/" ? "/index.html" : request.url;
  try {
    response.setHeader(
      "Content-Type",
      types[extname(path)] ?? "application/octet-stream",
    );
    response.end(readFileSync(join("bench/target/wall", path)));
  } catch {
    response.writeHead(404).end();
  }
}).listen(8791);
const driver = spawn("chromedriver", ["--port=8792", "--log-level=OFF"], {
  stdio: "ignore",
});
const sleep = (ms) => new Promise((r) => setTimeout(r, ms));
async function wd(method, path, body) {
  const answer = await fetch("http://localhost:8792" + path, {
    method,
    body: body ? JSON.stringify(body) : undefined,
  });
  return (await answer.json()).value;
}
try {
  await sleep(1500);
  const args = [
    "--headless=new",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--window-size=1280,900",
    "--user-data-dir=" + mkdtempSync(join(tmpdir(), "matsuri-wall-")),
  ];
  const session = await wd("POST", "/session", {
    capabilities: {
      alwaysMatch: {
        browserName: "chrome",
        "goog:chromeOptions": { args, binary: "/usr/bin/chromium" },
      },
    },
  });
  const at = "/session/" + session.sessionId;
  for (let run = 1; run <= 3; run++) {
    await wd("POST", at + "/url", { url: "http://localhost:8791/" });
    let result = null;
    for (let n = 0; n < 200 && !result; n++) {
      await sleep(150);
      result = await wd("POST", at + "/execute/sync", {
        script: "return window.result ?? null",
        args: [],
      });
    }
    console.log(
      `wall ${result.wall.toFixed(1)} ms (least ${result.least.toFixed(1)}; ${result.parts.map((p) => p.toFixed(1)).join(" + ")} to find, draw, lay out), plain deep-reactive list ${result.plain.toFixed(1)} ms, ratio ${result.ratio.toFixed(1)}; table of dates, 600 rows: first draw ${result.table.toFixed(1)} ms, a letter typed ${result.typing.toFixed(1)} ms`,
    );
    const { draws, drags, moves } = result.courses;
    const both = ([script, all]) => `${script.toFixed(1)} ms of script (${all.toFixed(1)} with style and layout)`;
    console.log(
      `six courses, 1,000 things: first draw ${both(draws)}, carried over the next day ${both(drags)}, 50 things moved ${both(moves)}`,
    );
  }
  await wd("DELETE", at);
} finally {
  driver.kill();
  files.close();
}
