import vue from "@vitejs/plugin-vue";
import { defineConfig } from "vite";

export default defineConfig({
  root: import.meta.dirname,
  plugins: [vue()],
  build: { target: "es2022", outDir: "../../bench/target/wall", emptyOutDir: true },
});
