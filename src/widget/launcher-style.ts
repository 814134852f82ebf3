/** Launcher and frame; the panel brings its own sheet. px only: rem and em would be the page's. */
export const LAUNCHER_CSS = `
:host { all: initial !important; position: fixed !important; inset: 0 !important; display: block !important; pointer-events: none !important; z-index: 2147483000 !important; contain: layout style !important; container-type: size !important; visibility: visible !important; opacity: 1 !important; }
:host([data-tile]) { position: absolute !important; contain: strict !important; z-index: auto !important; }
*, *::before, *::after { box-sizing: border-box; }
.root { position: absolute; inset: 0; font: 400 var(--text-size)/1.45 var(--font); color: var(--ink); -webkit-text-size-adjust: none; text-size-adjust: none; }
.launcher { all: unset; box-sizing: border-box; position: absolute; inset-block-end: calc(var(--offset) + env(safe-area-inset-bottom, 0px)); inset-inline-end: calc(var(--offset) + env(safe-area-inset-right, 0px)); display: flex; align-items: center; justify-content: center; gap: 8px; min-inline-size: var(--size); block-size: var(--size); border-radius: 14px; background: var(--brand); color: var(--onBrand); box-shadow: 0 0 0 2px var(--ring), 0 2px 10px rgb(20 24 22 / .22); cursor: pointer; pointer-events: auto; font-weight: 600; -webkit-tap-highlight-color: transparent; }
.launcher:hover { background: var(--hover); }
.launcher:focus-visible { outline: 3px solid var(--onBrand); outline-offset: -6px; box-shadow: 0 0 0 3px var(--brand), 0 0 0 5px var(--ground); }
.launcher[hidden] { display: none; }
.launcher svg { inline-size: 30px; block-size: 30px; flex: none; margin-inline: 12px; }
.mark { display: flex; flex: none; }
.words { display: none; padding-inline-end: 18px; margin-inline-start: -8px; white-space: nowrap; }
.root[data-words] .words { display: block; }
.count { position: absolute; inset-block-start: -6px; inset-inline-end: -6px; min-inline-size: 22px; block-size: 22px; padding-inline: 5px; border-radius: 11px; background: var(--ground); color: var(--ink); box-shadow: 0 0 0 2px var(--brand); font: 700 13px/22px var(--font); text-align: center; }
.count:empty { display: none; }
.root[data-corner$="left"] .launcher { inset-inline: calc(var(--offset) + env(safe-area-inset-left, 0px)) auto; }
.root[data-corner^="upper"] .launcher { inset-block: calc(var(--offset) + env(safe-area-inset-top, 0px)) auto; }
.root[data-count-only] .mark { visibility: hidden; }
.lamp-line { fill: none; stroke: currentColor; stroke-width: 1.6; stroke-linejoin: round; stroke-linecap: round; }
.lamp-light { fill: var(--lamp); }
.lamp-over { fill: none; stroke: currentColor; stroke-width: 1.8; stroke-linecap: round; }
@media (prefers-reduced-motion: no-preference) { .root:not([data-still]) .launcher { animation: arrive 120ms ease-out; } }
@media (prefers-reduced-motion: no-preference) { .stir { animation: stir 600ms ease-in-out; } }
@keyframes stir { 30% { transform: rotate(-7deg); } 60% { transform: rotate(5deg); } 80% { transform: rotate(-2deg); } }
@keyframes arrive { from { opacity: 0; } }
@media (forced-colors: active) { .launcher { border: 2px solid ButtonText; } .lamp-light { fill: Highlight; } }
`;
