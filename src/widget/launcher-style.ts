/** Launcher and frame; the panel brings its own sheet. px only: rem and em would be the page's. */
export const LAUNCHER_CSS = `
:host { all: initial !important; position: fixed !important; inset: 0 !important; display: block !important; pointer-events: none !important; z-index: var(--layer, 2147483000) !important; contain: layout style !important; container-type: size !important; }
.root { --launcher: var(--brand); --onLauncher: var(--onBrand); --launcherHover: var(--hover); --launcherPressed: var(--pressed); --bend: calc(var(--radius) * 7 / 6); position: absolute; inset: 0; font: 400 var(--text-size)/1.45 var(--own-font, var(--font)); color: var(--ink); -webkit-text-size-adjust: none; }
.launcher { all: unset; box-sizing: border-box; position: absolute; inset-block-end: calc(var(--offset) + var(--lift) + env(safe-area-inset-bottom)); inset-inline-end: calc(var(--offset) + env(safe-area-inset-right)); display: flex; align-items: center; justify-content: center; min-inline-size: var(--size); block-size: var(--size); max-inline-size: 100cqi; border-radius: var(--bend); background: var(--launcher); color: var(--onLauncher); box-shadow: 0 0 0 2px var(--ring), 0 2px 10px rgb(20 24 22 / .22); cursor: pointer; pointer-events: auto; font-weight: 600; -webkit-tap-highlight-color: transparent; }
.launcher:hover { background: var(--launcherHover); }
.launcher:active { background: var(--launcherPressed); }
.launcher:focus-visible { outline: 3px solid var(--onLauncher); outline-offset: -6px; box-shadow: 0 0 0 3px var(--launcher), 0 0 0 5px var(--ground); }
.launcher[hidden] { display: none; }
.launcher svg { inline-size: 30px; block-size: 30px; }
.mark { display: flex; flex: none; padding-inline: 12px; }
.words { display: none; padding-inline-end: 18px; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
[data-words] .words { display: block; }
.count { position: absolute; }
[data-corner$="left"] .launcher { inset-inline: calc(var(--offset) + env(safe-area-inset-left)) auto; }
[data-corner^="upper"] .launcher { inset-block: calc(var(--offset) + var(--lift) + env(safe-area-inset-top)) auto; }
[data-corner^="middle"] .launcher { inset-block: var(--lift) calc(-1 * var(--lift)); margin-block: auto; }
[data-form="edge-tab"] .launcher { flex-direction: column; inset-inline-end: 0; inline-size: var(--size); block-size: fit-content; min-block-size: var(--size); max-block-size: calc(100cqb - 32px); padding-block: 9px; border-start-end-radius: 0; border-end-end-radius: 0; }
[data-form="edge-tab"][data-corner$="left"] .launcher { inset-inline: 0 auto; border-radius: 0; border-start-end-radius: var(--bend); border-end-end-radius: var(--bend); }
[data-form="edge-tab"] .words { writing-mode: vertical-rl; padding: 9px 0; }
[data-form="picture-card"] .launcher { justify-content: start; min-inline-size: min(220px, 100cqi - 32px); }
.sign { block-size: 30px; max-inline-size: 96px; object-fit: contain; }
[data-form="picture-card"] .sign { block-size: 40px; }
[data-form="bottom-bar"] .launcher { inset-block-end: max(0px, var(--lift)); inline-size: 300px; block-size: auto; min-block-size: var(--size); padding-block-end: env(safe-area-inset-bottom); border-end-start-radius: 0; border-end-end-radius: 0; }
[data-form="bottom-bar"][data-corner^="upper"] .launcher { inset-block: max(0px, var(--lift)) auto; border-radius: 0 0 var(--bend) var(--bend); padding-block: env(safe-area-inset-top) 0; }
[data-form="bottom-bar"][data-device="phone"] .launcher { inset-inline: 0; inline-size: auto; border-radius: 0; }
.lamp-line { fill: none; stroke: currentColor; stroke-width: 1.7; stroke-linejoin: round; stroke-linecap: round; }
.lamp-light { fill: var(--lamp); }
@media (prefers-reduced-motion: no-preference) {
.launcher { animation: arrive 120ms ease-out; }
[data-style~="arrival-none"] .launcher { animation: none; }
[data-style~="arrival-slide"] .launcher { animation: slide 160ms ease-out; }
[data-style~="arrival-sway"] .launcher { animation: sway 700ms ease-in-out; }
[data-style~="arrival-brighten"] .lamp-light { animation: arrive 900ms ease-out; }
}
@keyframes arrive { from { opacity: 0; } }
@keyframes slide { from { opacity: 0; translate: 0 8px; } }
@keyframes sway { 30% { rotate: -4deg; } 70% { rotate: 3deg; } }
@media (forced-colors: active) { .launcher { border: 2px solid ButtonText; } .lamp-light { fill: Highlight; } }
`;
