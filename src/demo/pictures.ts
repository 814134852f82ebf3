/** The observatory's mark: a dome with its slit, on the line of the sea. */
export const LOGO = `<svg xmlns="http://www.w3.org/2000/svg" width="120" height="80" viewBox="0 0 120 80">
  <path d="M24 62a36 36 0 0 1 72 0z" fill="#7a2e5d"/>
  <path d="M56 27l30-17 5 9-30 17z" fill="#e79a1b"/>
  <path d="M56 28v34h9V26z" fill="#fff8e8"/>
  <path d="M8 66q13-8 26 0t26 0 26 0 26 0" fill="none" stroke="#2f6f8f" stroke-width="5" stroke-linecap="round"/>
</svg>`;

/** A drawn face for Inês, as made up as she is: dark hair, round glasses, a collar in the observatory's colour. Rui shows his initials. */
export const INES = `<svg xmlns="http://www.w3.org/2000/svg" width="120" height="120" viewBox="0 0 120 120">
  <rect width="120" height="120" fill="#f3dfb8"/>
  <path d="M28 66q-4-44 32-46 36 2 32 46l4 34H24z" fill="#3b2a2e"/>
  <path d="M18 122q4-28 42-28t42 28z" fill="#7a2e5d"/>
  <path d="M50 82h20v16q-10 8-20 0z" fill="#d9a17c"/>
  <ellipse cx="60" cy="62" rx="23" ry="27" fill="#e6b48f"/>
  <path d="M36 58q2-26 26-27 20 1 22 27-10-4-16-15-10 12-32 15z" fill="#3b2a2e"/>
  <g fill="none" stroke="#4a3030" stroke-width="2.4"><circle cx="50" cy="64" r="8"/><circle cx="70" cy="64" r="8"/><path d="M58 63h4"/></g>
  <circle cx="50" cy="64" r="2.2" fill="#3b2a2e"/><circle cx="70" cy="64" r="2.2" fill="#3b2a2e"/>
  <path d="M52 78q8 7 16 0" fill="none" stroke="#8f3b3b" stroke-width="2.6" stroke-linecap="round"/>
</svg>`;
