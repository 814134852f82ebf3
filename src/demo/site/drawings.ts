// Everything that looks like a picture on the demo site is drawn here, as SVG; the stars are seeded by the page's name.

function seeded(text: string): () => number {
  let seed = 2166136261;
  for (const sign of text) seed = Math.imul(seed ^ sign.charCodeAt(0), 16777619);
  return () => {
    seed = Math.imul(seed ^ (seed >>> 15), 2246822519);
    seed = Math.imul(seed ^ (seed >>> 13), 3266489917);
    return ((seed ^= seed >>> 16) >>> 0) / 4294967296;
  };
}

/** A night over the island: stars, a ridge, the dome. */
export function nightSky(name: string, title: string): string {
  const next = seeded(name);
  const stars = Array.from(
    { length: 90 },
    () =>
      `<circle cx="${(next() * 960).toFixed(0)}" cy="${(next() * 250).toFixed(0)}" r="${(0.5 + next() * 1.4).toFixed(1)}"/>`,
  ).join('');
  const ridge = Array.from(
    { length: 13 },
    (_, index) => `${index * 80},${(300 - next() * 60).toFixed(0)}`,
  ).join(' ');
  const dome = 200 + next() * 520;
  return `<svg class="sky" viewBox="0 0 960 360" role="img" aria-label="${title}"><rect width="960" height="360" fill="#1d2440"/><rect y="200" width="960" height="160" fill="#3a3554" opacity=".55"/><g fill="#f6e9c8">${stars}</g><polygon points="0,360 ${ridge} 960,360" fill="#12172b"/><g transform="translate(${dome.toFixed(0)} 236)"><path d="M0 40a34 34 0 0 1 68 0z" fill="#d9d2bf"/><path d="M30 7h9v33h-9z" fill="#1d2440"/><rect x="4" y="40" width="60" height="34" fill="#b8ad93"/></g></svg>`;
}

/** A telescope on its stand, for the loans. */
export function telescope(title: string): string {
  return `<svg class="small" viewBox="0 0 240 160" role="img" aria-label="${title}"><g transform="rotate(-28 120 70)"><rect x="60" y="54" width="130" height="30" rx="4" fill="#2d3a66"/><rect x="186" y="49" width="16" height="40" rx="3" fill="#d9a441"/><rect x="40" y="62" width="24" height="14" fill="#6b5b3a"/></g><path d="M118 84l-34 66M122 84l34 66M120 84v66" stroke="#6b5b3a" stroke-width="6" fill="none"/></svg>`;
}

/** The ferry's way to the island. */
export function ferryMap(title: string): string {
  return `<svg class="small" viewBox="0 0 240 160" role="img" aria-label="${title}"><rect width="240" height="160" fill="#cfdfe2"/><path d="M150 30q50 6 56 44t-40 56q-44 10-52-34t36-66z" fill="#8fa06a"/><path d="M8 120q20-14 34 0v40H0v-30z" fill="#a9a184"/><path d="M40 118q50-40 84-22" stroke="#22305a" stroke-width="3" stroke-dasharray="7 6" fill="none"/><circle cx="168" cy="78" r="6" fill="#d9a441"/></svg>`;
}
