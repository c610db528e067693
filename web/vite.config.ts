import vue from "@vitejs/plugin-vue";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [vue()],
  build: { target: "es2022", assetsInlineLimit: 0, chunkSizeWarningLimit: 900, modulePreload: { polyfill: false } },
  server: { proxy: { "/api": { target: "http://localhost:8460" } } },
  test: { environment: "happy-dom", include: ["src/**/*.test.ts"] },
});
