import "./theme.css";

import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { lazy, StrictMode, Suspense } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";

import { Builds } from "./stations/builds/Builds";
import { Frame } from "./stations/frame/Frame";
import { keepFocus } from "./ui/keepfocus";

// Radix places style elements; the content security policy lets in those that carry the nonce.
const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content;
(globalThis as { __webpack_nonce__?: string }).__webpack_nonce__ = nonce;

const pages = {
  parts: () => import("./stations/parts/Parts"),
  catalogue: () => import("./stations/catalogue/Catalogue"),
  supply: () => import("./stations/supply/Supply"),
  compare: () => import("./stations/supply/Compare"),
  fit: () => import("./stations/supply/Fit"),
  energy: () => import("./stations/supply/Energy"),
  drawer: () => import("./stations/drawer/Drawer"),
  loom: () => import("./stations/loom/Loom"),
  sides: () => import("./stations/compare/Sides"),
  ask: () => import("./stations/ask/Ask"),
  bench: () => import("./stations/bench/Bench"),
  readings: () => import("./stations/readings/Readings"),
  trainer: () => import("./stations/readings/Trainer"),
  rules: () => import("./stations/rules/Rules"),
};
const Parts = lazy(pages.parts);
const Catalogue = lazy(pages.catalogue);
const Supply = lazy(pages.supply);
const Compare = lazy(pages.compare);
const Fit = lazy(pages.fit);
const Energy = lazy(pages.energy);
const Drawer = lazy(pages.drawer);
const Loom = lazy(pages.loom);
const Sides = lazy(pages.sides);
const Ask = lazy(pages.ask);
const Bench = lazy(pages.bench);
const Readings = lazy(pages.readings);
const Trainer = lazy(pages.trainer);
const Rules = lazy(pages.rules);

const router = createBrowserRouter([
  { path: "/", element: <Builds /> },
  { path: "/compare", element: <Sides /> },
  {
    path: "/b/:key",
    element: <Frame />,
    children: [
      { index: true, element: <Navigate to="parts" replace /> },
      { path: "parts", element: <Parts /> },
      { path: "parts/catalogue", element: <Catalogue /> },
      { path: "supply", element: <Supply /> },
      { path: "supply/compare", element: <Compare /> },
      { path: "supply/fit", element: <Fit /> },
      { path: "supply/energy", element: <Energy /> },
      { path: "drawer", element: <Drawer /> },
      { path: "loom", element: <Loom /> },
      { path: "ask", element: <Ask /> },
      { path: "bench", element: <Bench /> },
      { path: "readings", element: <Readings /> },
      { path: "readings/trainer", element: <Trainer /> },
      { path: "rules", element: <Rules /> },
    ],
  },
  { path: "*", element: <Navigate to="/" replace /> },
]);

// The server is on this machine: a network that goes down is no reason to wait with asking it.
const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 2_000, networkMode: "always" },
    mutations: { networkMode: "always" },
  },
});
// Once the first page stands and nothing else is to do, the others come: no station waits for its script.
if ("requestIdleCallback" in window)
  requestIdleCallback(() => Object.values(pages).forEach((page) => void page().catch(() => undefined)), {
    timeout: 5_000,
  });
keepFocus();
// Where the browser allows it (this machine, or TLS) the page opens without a connection too.
if (import.meta.env.PROD) void navigator.serviceWorker?.register("/sw.js").catch(() => undefined);
const root = document.getElementById("app");
if (root)
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <Suspense fallback={<p className="p-8 text-ink-soft">One moment…</p>}>
          <RouterProvider router={router} />
        </Suspense>
      </QueryClientProvider>
    </StrictMode>,
  );
