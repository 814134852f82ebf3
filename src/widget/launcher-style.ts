/** Launcher and frame; the panel brings its own sheet. px only: rem and em would be the page's. */
export const LAUNCHER_CSS = `
:host { all: initial !important; position: fixed !important; inset: 0 !important; display: block !important; pointer-events: none !important; z-index: 2147483000 !important; contain: layout style !important; container-type: size !important; }
.root { position: absolute; inset: 0; font: 400 var(--text-size)/1.45 var(--font); color: var(--ink); -webkit-text-size-adjust: none; }
.launcher { all: unset; box-sizing: border-box; position: absolute; inset-block-end: calc(var(--offset) + var(--lift) + env(safe-area-inset-bottom)); inset-inline-end: calc(var(--offset) + env(safe-area-inset-right)); display: flex; align-items: center; justify-content: center; min-inline-size: var(--size); block-size: var(--size); border-radius: 14px; background: var(--brand); color: var(--onBrand); box-shadow: 0 0 0 2px var(--ring), 0 2px 10px rgb(20 24 22 / .22); cursor: pointer; pointer-events: auto; font-weight: 600; -webkit-tap-highlight-color: transparent; }
.launcher:hover { background: var(--hover); }
.launcher:focus-visible { outline: 3px solid var(--onBrand); outline-offset: -6px; box-shadow: 0 0 0 3px var(--brand), 0 0 0 5px var(--ground); }
.launcher[hidden] { display: none; }
.launcher svg { inline-size: 30px; block-size: 30px; flex: none; margin-inline: 12px; }
.mark { display: flex; flex: none; }
.words { display: none; padding-inline-end: 18px; white-space: nowrap; }
.root[data-words] .words { display: block; }
.count { position: absolute; }
.root[data-corner$="left"] .launcher { inset-inline: calc(var(--offset) + env(safe-area-inset-left)) auto; }
.root[data-corner^="upper"] .launcher { inset-block: calc(var(--offset) + var(--lift) + env(safe-area-inset-top)) auto; }
.lamp-line { fill: none; stroke: currentColor; stroke-width: 1.7; stroke-linejoin: round; stroke-linecap: round; }
.lamp-light { fill: var(--lamp); }
@media (prefers-reduced-motion: no-preference) { .launcher { animation: arrive 120ms ease-out; } }
@keyframes arrive { from { opacity: 0; } }
@media (forced-colors: active) { .launcher { border: 2px solid ButtonText; } .lamp-light { fill: Highlight; } }
`;
