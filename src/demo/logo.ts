/** The observatory's mark: a dome with its slit, on the line of the sea. */
export const LOGO = `<svg xmlns="http://www.w3.org/2000/svg" width="120" height="80" viewBox="0 0 120 80">
  <path d="M24 62a36 36 0 0 1 72 0z" fill="#7a2e5d"/>
  <path d="M56 27l30-17 5 9-30 17z" fill="#e79a1b"/>
  <path d="M56 28v34h9V26z" fill="#fff8e8"/>
  <path d="M8 66q13-8 26 0t26 0 26 0 26 0" fill="none" stroke="#2f6f8f" stroke-width="5" stroke-linecap="round"/>
</svg>`;
