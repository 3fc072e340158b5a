import { createGlobalStyle } from "styled-components";

/** Colours, type and spacing, as CSS variables so that the dark theme follows the system. */
export const GlobalStyle = createGlobalStyle`
  :root {
    --ground: #f7f5f0; --panel: #ffffff; --line: #d8d2c5; --ink: #15242c; --ink-2: #4a575e; --ink-3: #5b666d;
    --ahead: #0a726d; --behind: #b03e2a; --caution: #8a5a0f; --caution-ground: #fbf3e2;
    --focus: #15242c; --selected: #ece7dc;
  }
  @media (prefers-color-scheme: dark) {
    :root {
      --ground: #101b21; --panel: #182830; --line: #33454e; --ink: #f2efe8; --ink-2: #b9c2c4; --ink-3: #9aa7ab;
      --ahead: #4fb8b1; --behind: #ee8a76; --caution: #e0ac55; --caution-ground: #2d2718;
      --focus: #f2efe8; --selected: #24363f;
    }
  }
  .stage-dark {
    --ground: #15242c; --panel: #1c2f39; --line: #3a4d57; --ink: #f7f5f0; --ink-2: #bcc6c9; --ink-3: #a5b1b6;
    --ahead: #53bdb6; --behind: #f08f7b; --caution: #e5b15a; --caution-ground: #2f2a1c; --focus: #f7f5f0; --selected: #2a404b;
  }
  * { box-sizing: border-box; }
  html, body, #root { height: 100%; }
  body {
    margin: 0; background: var(--ground); color: var(--ink);
    font: 400 15px/1.45 "Archivo Variable", system-ui, sans-serif;
    font-variant-numeric: tabular-nums lining-nums;
  }
  h1, h2, h3, p { margin: 0; }
  :focus-visible { outline: 2px solid var(--focus); outline-offset: 2px; }
  a { color: inherit; }
  main:focus { outline: none; }
  .visually-hidden { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
  /* On paper stands what was found out, without what one works with. */
  .only-on-paper { display: none; }
  @media print {
    @page { margin: 14mm; }
    :root {
      --ground: #fff; --panel: #fff; --line: #bbb; --ink: #000; --ink-2: #333; --ink-3: #444;
      --ahead: #0a726d; --behind: #b03e2a; --caution: #6b450a; --caution-ground: #fff; --selected: #f2f2f2;
    }
    html, body, #root { height: auto !important; }
    header, nav, button:not(.on-paper), select, aside, details:not([open]), [role="slider"], .react-aria-Slider, .not-on-paper { display: none !important; }
    /* As wide as on a screen and smaller by so much: a reading and a projection are a page each. */
    main { padding: 16px 0 0 !important; max-width: none !important; zoom: 0.6; }
    main section { margin-top: 14px !important; }
    button.on-paper { border: 0 !important; background: none !important; padding: 0 !important; color: inherit; font: inherit; text-decoration: none; }
    input, textarea { border: 0 !important; background: none !important; resize: none; }
    .only-on-paper { display: inline !important; }
    section, li, tr, article { break-inside: avoid; }
    h2 { break-after: avoid; }
    a { text-decoration: none; }
  }
  @media (prefers-reduced-motion: reduce) { * { transition: none !important; animation: none !important; } }
`;
