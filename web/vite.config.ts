import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: {
    outDir: "target/classes/static",
    emptyOutDir: true,
    assetsDir: "assets",
    chunkSizeWarningLimit: 1000,
  },
  server: { proxy: { "/api": "http://127.0.0.1:8420" } },
  test: { environment: "happy-dom", include: ["src/**/*.test.{ts,tsx}"] },
});
