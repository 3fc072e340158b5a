import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync } from "node:zlib";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

const OUT = "target/classes/static";

/** Lays a compressed copy beside each script and style, so that the server does not compress them for each request. */
const compressed = {
  name: "compressed copies",
  closeBundle() {
    const assets = join(OUT, "assets");
    for (const name of readdirSync(assets).filter((one) => /\.(js|css)$/.test(one))) {
      const file = join(assets, name);
      writeFileSync(`${file}.br`, brotliCompressSync(readFileSync(file)));
    }
  },
};

export default defineConfig({
  plugins: [react(), compressed],
  build: {
    outDir: OUT,
    emptyOutDir: true,
    assetsDir: "assets",
    chunkSizeWarningLimit: 1000,
  },
  server: { proxy: { "/api": "http://127.0.0.1:8420" } },
  test: {
    environment: "happy-dom",
    include: ["src/**/*.test.{ts,tsx}"],
    setupFiles: "src/testing/setup.ts",
    // Most of a run is loading the modules anew for each file; no test replaces a module.
    isolate: false,
  },
});
