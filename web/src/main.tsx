import "./ui/ids";
import "@fontsource-variable/archivo/standard.css";
import "./fonts/fonts.css";
import { QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { queryClient } from "./api/queries";
import { App, fetchTheRest } from "./App";
import { outbox } from "./outbox/outbox";
import { keepFocus } from "./ui/focus";
import { GlobalStyle } from "./ui/theme";

outbox.start();
keepFocus();

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <GlobalStyle />
      <QueryClientProvider client={queryClient}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
}

// The first screen goes first.
setTimeout(fetchTheRest, 2000);
