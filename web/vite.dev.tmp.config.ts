import vue from "@vitejs/plugin-vue";
import { defineConfig } from "vitest/config";
import { budget } from "./budget.mts";

export default defineConfig({
  plugins: [vue(), budget({})],
  build: {
    target: "es2022",
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    // the pages of links have a stylesheet of their own, which the server finds by the manifest
    manifest: true,
    rolldownOptions: { input: ["index.html", "src/see/see.css"] },
  },
  server: { proxy: { "/api": { target: "http://localhost:9401" } } },
  test: { environment: "happy-dom", include: ["src/**/*.test.ts"], isolate: false, setupFiles: ["src/test/setup.ts"] },
});
