/** Launcher and frame; the panel brings its own sheet. px only: rem and em would be the page's. */
export const LAUNCHER_CSS = `
:host { all: initial !important; position: fixed !important; inset: 0 !important; display: block !important; pointer-events: none !important; z-index: var(--layer, 2147483000) !important; contain: layout style !important; container-type: size !important; }
.root { --launcher: var(--brand); --onLauncher: var(--onBrand); --launcherHover: var(--hover); --launcherPressed: var(--pressed); --bend: calc(var(--radius) * 7 / 6); position: absolute; inset: 0; font: 400 var(--text-size)/1.45 var(--own-font, var(--font)); color: var(--ink); -webkit-text-size-adjust: none; }
.launcher { all: unset; box-sizing: border-box; position: absolute; inset-block-end: calc(var(--offset) + var(--lift) + env(safe-area-inset-bottom)); inset-inline-end: calc(var(--offset) + env(safe-area-inset-right)); display: flex; align-items: center; justify-content: center; min-inline-size: var(--size); block-size: var(--size); max-inline-size: 100cqi; border-radius: var(--bend); background: var(--launcher); color: var(--onLauncher); box-shadow: 0 0 0 2px var(--ring), 0 2px 10px rgb(20 24 22 / .22); cursor: pointer; pointer-events: auto; font-weight: 600; -webkit-tap-highlight-color: transparent; }
.launcher:hover { background: var(--launcherHover); }
.launcher:active { background: var(--launcherPressed); }
.launcher:focus-visible { outline: 3px solid var(--onLauncher); outline-offset: -6px; box-shadow: 0 0 0 3px var(--launcher), 0 0 0 5px var(--ground); }
.launcher[hidden] { display: none; }
.mark { display: flex; flex: none; padding-inline: 12px; }
.mark > * { block-size: 30px; max-inline-size: 96px; object-fit: contain; }
.words { display: none; padding-inline-end: 18px; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
[data-words] .words:not(:empty) { display: block; }
.count { position: absolute; }
[data-corner$="left"] .launcher { inset-inline: calc(var(--offset) + env(safe-area-inset-left)) auto; }
[data-corner^="upper"] .launcher { inset-block: calc(var(--offset) + var(--lift) + env(safe-area-inset-top)) auto; }
[data-corner^="middle"] .launcher { inset-block: var(--lift) calc(-1 * var(--lift)); margin-block: auto; }
.lamp-line { fill: none; stroke: currentColor; stroke-width: 1.7; stroke-linejoin: round; stroke-linecap: round; }
.lamp-light { fill: var(--lamp); }
@media (prefers-reduced-motion: no-preference) {
.launcher { animation: arrive 120ms ease-out; }
}
@keyframes arrive { from { opacity: 0; } }
@media (forced-colors: active) { .launcher { border: 2px solid ButtonText; } .lamp-light { fill: Highlight; } }
`;
