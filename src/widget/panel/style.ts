/** The window, and what only a conversation puts on the launcher. Container units only (cqi, cqb): on the stage the tile is the viewport. */
export const PANEL_CSS = `
*, *::before, *::after { box-sizing: border-box; }
.root { --header: var(--brand); --onHeader: var(--onBrand); --onResponder: var(--ink); --onVisitor: var(--ink); --accent: var(--brand); --focus: var(--link); --button: var(--brand); --onButton: var(--onBrand); --buttonHover: var(--hover); --buttonPressed: var(--pressed); --heading: var(--head-font, var(--own-font, var(--font))); --gap: 8px; --room: 14px; --pad: 9px 13px; --turn: min(var(--radius), 10px); }
.count { inset-block-start: -6px; inset-inline-end: -6px; min-inline-size: 22px; block-size: 22px; padding-inline: 5px; border-radius: 11px; background: var(--ground); color: var(--ink); box-shadow: 0 0 0 2px var(--launcher); font: 700 13px/22px var(--font); text-align: center; }
.count:empty { display: none; }
.root[data-count-only] .mark { visibility: hidden; }
.window { position: absolute; inset-block-end: calc(var(--offset) + var(--lift, 0px) + env(safe-area-inset-bottom, 0px)); inset-inline-end: calc(var(--offset) + env(safe-area-inset-right, 0px)); inline-size: min(var(--window-width, 360px), 100cqi - 32px); block-size: min(var(--window-height, 500px), 100cqb - 32px - max(0px, var(--lift, 0px))); display: flex; flex-direction: column; overflow: hidden; border-radius: var(--radius); border: 1px solid var(--edge); background: var(--ground); color: var(--ink); box-shadow: 0 10px 34px rgb(20 24 22 / .24); pointer-events: auto; text-align: start; overflow-wrap: anywhere; }
.root[data-corner$="left"] .window { inset-inline: calc(var(--offset) + env(safe-area-inset-left, 0px)) auto; }
.root[data-corner^="upper"] .window { inset-block: calc(var(--offset) + var(--lift, 0px) + env(safe-area-inset-top, 0px)) auto; }
.root[data-corner^="middle"] .window { inset-block: 16px; margin-block: auto; }
.root[data-device="phone"] .window { inset: 0; margin: 0; inline-size: 100cqi; block-size: var(--visible, 100cqb); border-radius: 0; border: 0; }
.window[hidden] { display: none; }
.head { position: relative; flex: none; display: flex; align-items: center; gap: 10px; padding: 13px 8px 12px 16px; padding-inline: 16px 8px; background: var(--headerFill, var(--header)); color: var(--onHeader); font-family: var(--heading); }
.head > * { position: relative; }
.head .head-picture { position: absolute; inset: 0; inline-size: 100%; block-size: 100%; object-fit: cover; z-index: -2; }
.logo { block-size: 32px; inline-size: auto; max-inline-size: 110px; object-fit: contain; flex: none; }
.head-words { flex: 1; min-inline-size: 0; }
.title { display: block; margin: 0; font-size: 16px; font-weight: 700; line-height: 1.3; }
.state { display: flex; align-items: center; gap: 5px; min-block-size: 18px; font-size: 13px; line-height: 1.35; }
.state svg { inline-size: 17px; block-size: 17px; flex: none; }
.button { all: unset; box-sizing: border-box; cursor: pointer; border-radius: var(--turn); text-align: center; font-weight: 600; }
.button:focus-visible, .text:focus-visible, .link:focus-visible { outline: 2px solid var(--focus); outline-offset: 2px; }
.close { inline-size: 44px; block-size: 44px; display: grid; place-items: center; flex: none; }
.close:focus-visible { outline-color: var(--onHeader); outline-offset: -5px; }
.close svg { inline-size: 20px; block-size: 20px; fill: none; stroke: currentColor; stroke-width: 2; stroke-linecap: round; }
.log { flex: 1; overflow-y: auto; overscroll-behavior: contain; padding: var(--room); display: flex; flex-direction: column; gap: var(--gap); }
.log:focus-visible { outline: 2px solid var(--focus); outline-offset: -3px; }
.card { position: relative; max-inline-size: 86%; padding: var(--pad); border-radius: var(--turn); align-self: flex-start; background: var(--responder); color: var(--onResponder); white-space: pre-wrap; }
.card.house { background: none; color: var(--ink); border: 1px solid var(--rail); }
.card.visitor { align-self: flex-end; background: var(--visitor); color: var(--onVisitor); border-inline-end: 3px solid var(--accent); }
.card.person { margin-inline-start: 38px; max-inline-size: calc(86% - 38px); }
.face { display: grid; place-items: center; inline-size: 30px; block-size: 30px; border-radius: min(var(--radius), 8px); background: var(--responder); color: var(--onResponder); font: 700 12px/1 var(--heading); flex: none; }
img.face { object-fit: cover; }
.head .face { background: var(--onHeader); color: var(--header); }
.card > .face { position: absolute; inset-inline-start: -38px; inset-block-start: 0; border: 1px solid var(--rail); }
.who { display: block; font-size: 12px; font-weight: 600; color: var(--shade); font-family: var(--heading); }
.card :is(.who, a) { color: inherit; }
.time { display: none; font-size: 12px; font-family: var(--heading); }
.progress { font-size: 12px; color: var(--shade); align-self: flex-end; }
.line { align-self: center; text-align: center; font-size: 13px; color: var(--shade); padding: 2px 8px; }
.foot { flex: none; border-block-start: 1px solid var(--rail); padding: 10px 12px; display: flex; flex-direction: column; gap: 8px; background: var(--ground); }
.row .text { field-sizing: content; }
.row { display: flex; gap: 8px; align-items: flex-end; }
.text { all: unset; box-sizing: border-box; flex: 1; min-inline-size: 0; inline-size: 100%; min-block-size: 44px; max-block-size: 120px; padding: 10px 12px; border: 1px solid var(--edge); border-radius: var(--turn); background: var(--field); color: var(--ink); font: inherit; font-size: max(16px, var(--text-size)); line-height: 1.4; white-space: pre-wrap; overflow-y: auto; cursor: text; }
.text::placeholder { color: var(--shade); opacity: 1; }
.text[aria-invalid="true"] { border-color: var(--error); }
.field { display: flex; flex-direction: column; gap: 3px; }
.field label { font-size: 13px; font-weight: 600; }
.help { font-size: 12px; color: var(--shade); }
.error { font-size: 13px; color: var(--error); }
.send { min-inline-size: 64px; min-block-size: 44px; padding: 10px 14px; background: var(--button); color: var(--onButton); flex: none; }
.send:hover { background: var(--buttonHover); }
.send:active { background: var(--buttonPressed); }
.wide { inline-size: 100%; }
.link { all: unset; box-sizing: border-box; cursor: pointer; color: var(--link); font-size: 13px; font-weight: 600; min-block-size: 28px; display: inline-flex; align-items: center; padding-inline: 4px; border-radius: 6px; align-self: center; }
.link:hover { text-decoration: underline; }
.invitation { position: absolute; inset-block-end: calc(var(--offset) + var(--lift, 0px) + var(--size) + 12px + env(safe-area-inset-bottom, 0px)); inset-inline-end: calc(var(--offset) + env(safe-area-inset-right, 0px)); inline-size: min(320px, 100cqi - 32px); box-sizing: border-box; padding: 14px; display: flex; flex-direction: column; gap: 12px; border-radius: var(--radius); border: 1px solid var(--edge); background: var(--ground); color: var(--ink); box-shadow: 0 6px 22px rgb(20 24 22 / .2); pointer-events: auto; overflow-wrap: anywhere; }
.root[data-corner$="left"] .invitation { inset-inline: calc(var(--offset) + env(safe-area-inset-left, 0px)) auto; }
.root[data-corner^="upper"] .invitation { inset-block: calc(var(--offset) + var(--lift, 0px) + var(--size) + 12px + env(safe-area-inset-top, 0px)) auto; }
.root[data-corner^="middle"] .invitation { inset-block: calc(50% + var(--size) / 2 + 12px + var(--lift, 0px)) auto; }
.invitation-words { margin: 0; }
.invitation .row, .slow .row { flex-wrap: wrap; }
.invitation .button, .slow .button { white-space: nowrap; }
.quiet { min-block-size: 44px; padding: 10px 14px; border: 1px solid var(--edge); }
.quiet:hover { background: var(--visitor); color: var(--onVisitor); }
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
.note-form .last { position: sticky; inset-block-end: -14px; padding-block: 8px 14px; background: var(--ground); outline: 1px solid transparent; }
.said { display: flex; flex-direction: column; gap: 8px; }
.forget { display: flex; flex-direction: column; gap: 8px; }
.forget .row { flex-wrap: wrap; justify-content: flex-end; }
.forget p { margin: 0; }
.hidden { position: absolute; inline-size: 1px; block-size: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
.root[data-form="edge-tab"] .invitation { inset-block-end: calc(var(--offset) + var(--lift, 0px) + env(safe-area-inset-bottom, 0px)); inset-inline-end: calc(var(--size) + 12px); }
.root[data-form="edge-tab"][data-corner$="left"] .invitation { inset-inline: calc(var(--size) + 12px) auto; }
.root[data-form="edge-tab"][data-corner^="middle"] .invitation { inset-block: calc(50% - 60px + var(--lift, 0px)) auto; }
.root[data-form="edge-tab"][data-corner^="upper"] .invitation { inset-block: calc(var(--offset) + var(--lift, 0px) + env(safe-area-inset-top, 0px)) auto; }
[data-style~="weight-heavy"] { font-weight: 500; }
[data-style~="weight-heavy"] .title, [data-style~="weight-heavy"] .button { font-weight: 800; }
[data-style~="density-compact"] { --gap: 4px; --room: 10px; --pad: 5px 9px; }
[data-style~="density-compact"] .head { padding-block: 8px; }
[data-style~="density-roomy"] { --gap: 14px; --room: 20px; --pad: 12px 16px; }
[data-style~="density-roomy"] .head { padding-block: 18px; padding-inline: 20px 10px; }
[data-style~="header-awning"] .head { margin-block-end: 8px; z-index: 1; }
[data-style~="header-awning"] .head::after { content: ""; position: absolute; inset: 100% 0 auto; block-size: 8px; background: radial-gradient(circle at 8px 0, var(--header) 7.5px, transparent 8px) 0 0 / 32px 8px, radial-gradient(circle at 24px 0, color-mix(in srgb, var(--header) 80%, var(--onHeader)) 7.5px, transparent 8px) 0 0 / 32px 8px; }
[data-style~="header-picture"] .head { min-block-size: 104px; align-items: end; background: var(--header); isolation: isolate; }
[data-style~="header-picture"] .head::before { content: ""; position: absolute; inset: 0; background: var(--headerFill); z-index: -1; }
[data-style~="header-picture"] .close { align-self: start; }
[data-style~="rule-hairline"] .head { border-block-end: 1px solid var(--rail); }
[data-style~="rule-double"] .head { border-block-end: 3px double var(--accent); }
[data-style~="rule-side"] .window { border-inline-start: 4px solid var(--accent); }
[data-style~="messages-open"] .card.visitor { border: 0; }
[data-style~="messages-open"] .card.house { border: 0; padding-inline: 0; }
[data-style~="messages-open"] .card.person { background: none; color: var(--ink); padding-block: 0; }
[data-style~="messages-rounded"] .card { border-radius: max(10px, var(--radius)); }
[data-style~="messages-rounded"] .card.visitor { border: 0; border-end-end-radius: 4px; }
[data-style~="messages-rounded"] .card.person { border-end-start-radius: 4px; }
[data-style~="messages-letters"] .card { display: grid; grid-template-columns: 1fr auto; column-gap: 12px; align-self: stretch; max-inline-size: none; margin: 0; padding: 8px 0; border: 0; border-block-start: 1px solid var(--rail); border-radius: 0; background: none; color: var(--ink); }
[data-style~="messages-letters"] .card.house { display: block; }
[data-style~="messages-letters"] .card > .face { display: none; }
[data-style~="messages-letters"] .who, [data-style~="messages-numbered"] .who { position: static; inline-size: auto; block-size: auto; clip-path: none; }
[data-style~="messages-letters"] .who { font-variant-caps: all-small-caps; font-size: 14px; letter-spacing: .6px; }
[data-style~="messages-letters"] .time { display: block; grid-area: 1 / 2; }
[data-style~="messages-letters"] bdi { grid-area: 2 / 1; }
[data-style~="messages-numbered"] .log { counter-reset: message; }
[data-style~="messages-numbered"] .card { border: 1.5px solid var(--edge); border-radius: var(--radius); }
[data-style~="messages-numbered"] .card.person { margin: 0; max-inline-size: 86%; }
[data-style~="messages-numbered"] .card > .face { display: none; }
[data-style~="messages-numbered"] .card:is(.person, .visitor) { counter-increment: message; padding-block-end: 20px; }
[data-style~="messages-numbered"] .card:is(.person, .visitor)::after { content: counter(message); position: absolute; inset-block-end: 3px; inset-inline-start: 9px; font: 600 12px/1.3 var(--heading); }
[data-style~="messages-numbered"] .time { display: block; position: absolute; inset-block-end: 3px; inset-inline-end: 9px; }
[data-style~="faces-round"] .face { border-radius: 50%; }
@media (prefers-reduced-motion: no-preference) {
.root:not([data-still]) :is(.window, .invitation) { animation: rise 150ms ease-out; }
.root:not([data-still])[data-style~="opening-fade"] :is(.window, .invitation) { animation: arrive 150ms ease-out; }
.root[data-style~="opening-none"] :is(.window, .invitation) { animation: none !important; }
}
@keyframes rise { from { opacity: 0; translate: 0 10px; } }
@media (forced-colors: active) { .send, .card, .face { border: 1px solid ButtonText; } }
`;
