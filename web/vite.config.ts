import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

// The built files are served by Django under /static/; in development Vite serves the page and
// hands the interface on to Django.
export default defineConfig(({ command }) => ({
  base: command === "build" ? "/static/" : "/",
  plugins: [react(), tailwindcss()],
  build: {
    manifest: true,
    rolldownOptions: {
      input: { main: "src/main.tsx", sw: "src/sw.ts" },
      // The browser knows the service worker by its address, which stays.
      output: { entryFileNames: (c) => (c.name === "sw" ? "sw.js" : "assets/[name]-[hash].js") },
    },
  },
  server: { port: 5173, proxy: { "/api": "http://127.0.0.1:8000" } },
}));
