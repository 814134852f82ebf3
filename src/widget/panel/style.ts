/** The window, and what only a conversation puts on the launcher. Container units only (cqi, cqb): on the stage the tile is the viewport. */
export const PANEL_CSS = `
*, *::before, *::after { box-sizing: border-box; }
.count { inset-block-start: -6px; inset-inline-end: -6px; min-inline-size: 22px; block-size: 22px; padding-inline: 5px; border-radius: 11px; background: var(--ground); color: var(--ink); box-shadow: 0 0 0 2px var(--brand); font: 700 13px/22px var(--font); text-align: center; }
.count:empty { display: none; }
.root[data-count-only] .mark { visibility: hidden; }
.window { position: absolute; inset-block-end: calc(var(--offset) + var(--lift, 0px) + env(safe-area-inset-bottom, 0px)); inset-inline-end: calc(var(--offset) + env(safe-area-inset-right, 0px)); inline-size: min(360px, 100cqi - 32px); block-size: min(500px, 100cqb - 32px - max(0px, var(--lift, 0px))); display: flex; flex-direction: column; overflow: hidden; border-radius: var(--radius); border: 1px solid var(--edge); background: var(--ground); color: var(--ink); box-shadow: 0 10px 34px rgb(20 24 22 / .24); pointer-events: auto; text-align: start; overflow-wrap: anywhere; }
.root[data-corner$="left"] .window { inset-inline: calc(var(--offset) + env(safe-area-inset-left, 0px)) auto; }
.root[data-corner^="upper"] .window { inset-block: calc(var(--offset) + var(--lift, 0px) + env(safe-area-inset-top, 0px)) auto; }
.root[data-device="phone"] .window { inset: 0; inline-size: 100cqi; block-size: var(--visible, 100cqb); border-radius: 0; border: 0; }
.window[hidden] { display: none; }
.head { flex: none; display: flex; align-items: center; gap: 10px; padding: 13px 8px 12px 16px; padding-inline: 16px 8px; background: var(--brand); color: var(--onBrand); }
.head-words { flex: 1; min-inline-size: 0; }
.title { display: block; margin: 0; font-size: 16px; font-weight: 700; line-height: 1.3; }
.state { display: flex; align-items: center; gap: 5px; font-size: 13px; line-height: 1.35; }
.state svg { inline-size: 17px; block-size: 17px; flex: none; }
.button { all: unset; box-sizing: border-box; cursor: pointer; border-radius: 10px; text-align: center; font-weight: 600; }
.button:focus-visible, .text:focus-visible, .link:focus-visible { outline: 2px solid var(--link); outline-offset: 2px; }
.close { inline-size: 44px; block-size: 44px; display: grid; place-items: center; flex: none; }
.close:focus-visible { outline-color: var(--onBrand); outline-offset: -5px; }
.close svg { inline-size: 20px; block-size: 20px; fill: none; stroke: currentColor; stroke-width: 2; stroke-linecap: round; }
.log { flex: 1; overflow-y: auto; overscroll-behavior: contain; padding: 14px; display: flex; flex-direction: column; gap: 8px; }
.log:focus-visible { outline: 2px solid var(--link); outline-offset: -3px; }
.card { max-inline-size: 86%; padding: 9px 13px; border-radius: 10px; align-self: flex-start; background: var(--responder); white-space: pre-wrap; }
.card.house { background: none; border: 1px solid var(--rail); }
.card.visitor { align-self: flex-end; background: var(--visitor); border-inline-end: 3px solid var(--brand); }
.who { display: block; font-size: 12px; font-weight: 600; color: var(--shade); }
.card .who { color: inherit; }
.progress { font-size: 12px; color: var(--shade); align-self: flex-end; }
.line { align-self: center; text-align: center; font-size: 13px; color: var(--shade); padding: 2px 8px; }
.foot { flex: none; border-block-start: 1px solid var(--rail); padding: 10px 12px; display: flex; flex-direction: column; gap: 8px; background: var(--ground); }
.row .text { field-sizing: content; }
.row { display: flex; gap: 8px; align-items: flex-end; }
.text { all: unset; box-sizing: border-box; flex: 1; min-inline-size: 0; inline-size: 100%; min-block-size: 44px; max-block-size: 120px; padding: 10px 12px; border: 1px solid var(--edge); border-radius: 10px; background: var(--field); color: var(--ink); font: inherit; font-size: max(16px, var(--text-size)); line-height: 1.4; white-space: pre-wrap; overflow-y: auto; cursor: text; }
.text::placeholder { color: var(--shade); opacity: 1; }
.text[aria-invalid="true"] { border-color: var(--error); }
.field { display: flex; flex-direction: column; gap: 3px; }
.field label { font-size: 13px; font-weight: 600; }
.help { font-size: 12px; color: var(--shade); }
.error { font-size: 13px; color: var(--error); }
.send { min-inline-size: 64px; min-block-size: 44px; padding: 10px 14px; background: var(--brand); color: var(--onBrand); flex: none; }
.send:hover { background: var(--hover); }
.send:active { background: var(--pressed); }
.wide { inline-size: 100%; }
.link { all: unset; box-sizing: border-box; cursor: pointer; color: var(--link); font-size: 13px; font-weight: 600; min-block-size: 28px; display: inline-flex; align-items: center; padding-inline: 4px; border-radius: 6px; align-self: center; }
.link:hover { text-decoration: underline; }
.invitation { position: absolute; inset-block-end: calc(var(--offset) + var(--lift, 0px) + var(--size) + 12px + env(safe-area-inset-bottom, 0px)); inset-inline-end: calc(var(--offset) + env(safe-area-inset-right, 0px)); inline-size: min(320px, 100cqi - 32px); box-sizing: border-box; padding: 14px; display: flex; flex-direction: column; gap: 12px; border-radius: var(--radius); border: 1px solid var(--edge); background: var(--ground); color: var(--ink); box-shadow: 0 6px 22px rgb(20 24 22 / .2); pointer-events: auto; overflow-wrap: anywhere; }
.root[data-corner$="left"] .invitation { inset-inline: calc(var(--offset) + env(safe-area-inset-left, 0px)) auto; }
.root[data-corner^="upper"] .invitation { inset-block: calc(var(--offset) + var(--lift, 0px) + var(--size) + 12px + env(safe-area-inset-top, 0px)) auto; }
.invitation-words { margin: 0; }
.invitation .row, .slow .row { flex-wrap: wrap; }
.invitation .button, .slow .button { white-space: nowrap; }
.quiet { min-block-size: 44px; padding: 10px 14px; border: 1px solid var(--edge); }
.quiet:hover { background: var(--visitor); }
.slow { flex: none; display: flex; flex-direction: column; gap: 6px; padding: 0 14px 12px; font-size: 13px; }
.slow label, legend { font-size: 13px; font-weight: 600; }
legend { padding: 0; }
.asks { align-self: stretch; max-inline-size: none; display: flex; flex-direction: column; gap: 12px; white-space: normal; background: none; border: 1px solid var(--edge); }
.asks legend { margin-block-end: 4px; }
.asks .send { align-self: flex-start; }
.group { all: unset; display: flex; flex-direction: column; gap: 2px; }
.tick { display: flex; align-items: flex-start; gap: 8px; min-block-size: 32px; padding-block: 4px; }
.tick input { inline-size: 20px; block-size: 20px; margin: 0; flex: none; accent-color: var(--link); }
.tick label { font-weight: 400; font-size: inherit; }
select.text { appearance: auto; cursor: pointer; }
.note { flex: 1; overflow-y: auto; padding: 14px; display: flex; flex-direction: column; gap: 10px; }
.note .text.tall { min-block-size: 84px; }
.note-form { margin-block-end: -14px; }
.note-form .last { position: sticky; inset-block-end: -14px; padding-block: 8px 14px; background: var(--ground); }
.said { display: flex; flex-direction: column; gap: 8px; }
.hidden { position: absolute; inline-size: 1px; block-size: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
@media (prefers-reduced-motion: no-preference) { .root:not([data-still]) :is(.window, .invitation) { animation: arrive 150ms ease-out; } }
@media (forced-colors: active) { .send, .card { border: 1px solid ButtonText; } }
`;
