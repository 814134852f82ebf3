/** The launcher's other forms and arrivals, laid over the sheet of the usual one; only pages that show one of them fetch it. */
export const EXTRAS_CSS = `
[data-form="edge-tab"] .launcher { flex-direction: column; inset-inline-end: 0; inline-size: var(--size); block-size: fit-content; min-block-size: var(--size); max-block-size: calc(100cqb - 32px); padding-block: 9px; border-start-end-radius: 0; border-end-end-radius: 0; }
[data-form="edge-tab"][data-corner$="left"] .launcher { inset-inline: 0 auto; border-radius: 0; border-start-end-radius: var(--bend); border-end-end-radius: var(--bend); }
[data-form="edge-tab"] .words { writing-mode: vertical-rl; padding: 9px 0; }
[data-form="picture-card"] .launcher { justify-content: start; min-inline-size: min(220px, 100cqi - 32px); }
[data-form="picture-card"] .sign { block-size: 40px; }
[data-form="bottom-bar"] .launcher { inset-block-end: max(0px, var(--lift)); inline-size: 300px; block-size: auto; min-block-size: var(--size); padding-block-end: env(safe-area-inset-bottom); border-end-start-radius: 0; border-end-end-radius: 0; }
[data-form="bottom-bar"][data-corner^="upper"] .launcher { inset-block: max(0px, var(--lift)) auto; border-radius: 0 0 var(--bend) var(--bend); padding-block: env(safe-area-inset-top) 0; }
[data-form="bottom-bar"][data-device="phone"] .launcher { inset-inline: 0; inline-size: auto; border-radius: 0; }
@media (prefers-reduced-motion: no-preference) {
[data-style~="arrival-none"] .launcher { animation: none; }
[data-style~="arrival-slide"] .launcher { animation: slide 160ms ease-out; }
[data-style~="arrival-sway"] .launcher { animation: sway 700ms ease-in-out; }
[data-style~="arrival-brighten"] .lamp-light { animation: arrive 900ms ease-out; }
}
@keyframes slide { from { opacity: 0; translate: 0 8px; } }
@keyframes sway { 30% { rotate: -4deg; } 70% { rotate: 3deg; } }
`;
