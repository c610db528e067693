import { gzipSync } from "node:zlib";
import type { Plugin } from "vite";

/**
 * Holds the scripts and styles that a view loads, compressed, to a budget. Fonts do not count: they are the reader's own
 * after the first visit.
 *
 * @param most by the view's file, in kB of 1,000 bytes
 */
export function budget(most: Record<string, number>): Plugin {
  return {
    name: "matsuri-budget",
    apply: "build",
    enforce: "post",
    generateBundle: {
      order: "post",
      handler(_, bundle) {
        const size = (name: string) => {
          const file = bundle[name];
          return file ? gzipSync(file.type === "chunk" ? file.code : file.source).length : 0;
        };
        const loaded = (name: string, seen: Set<string>) => {
          const chunk = bundle[name];
          if (seen.has(name) || chunk?.type !== "chunk") return seen;
          seen.add(name);
          chunk.viteMetadata?.importedCss.forEach((css) => seen.add(css));
          chunk.imports.forEach((other) => loaded(other, seen));
          return seen;
        };
        const chunks = Object.values(bundle).filter((file) => file.type === "chunk");
        const entry = chunks.find((chunk) => chunk.isEntry);
        for (const [view, kB] of Object.entries(most)) {
          const page = chunks.find((chunk) => chunk.facadeModuleId?.endsWith(view));
          if (!entry || !page) return this.error(`${view} is no view that is loaded by itself`);
          const files = loaded(page.fileName, loaded(entry.fileName, new Set()));
          const is = [...files].reduce((sum, name) => sum + size(name), 0) / 1000;
          const said = `${view}: ${is.toFixed(1)} kB compressed, of ${kB}`;
          if (is > kB) this.error(`${said}. Load what it does not need at once with what needs it.`);
          this.info(said);
        }
      },
    },
  };
}
