import type { AlertSound } from '../../core/model/alert-settings';

/** One tone: from a pitch to another in Hz, from when on and how long in seconds, and how loud from 0 to 1. */
interface Tone {
  readonly pitch: readonly [from: number, to: number];
  readonly at: number;
  readonly length: number;
  readonly volume: number;
}

const tone = (from: number, to: number, at: number, length: number): Tone => ({
  pitch: [from, to],
  at,
  length,
  volume: 0.25,
});

/** Two knocks on wood; a small bell with its overtone; three drops that rise. */
const TONES: Readonly<Record<AlertSound, readonly Tone[]>> = {
  knock: [tone(230, 80, 0, 0.12), tone(210, 70, 0.2, 0.14)],
  bell: [tone(1047, 1047, 0, 1.1), { ...tone(2637, 2637, 0, 0.5), volume: 0.06 }],
  drops: [tone(587, 640, 0, 0.12), tone(784, 850, 0.14, 0.12), tone(1047, 1120, 0.28, 0.2)],
};

/** Plays a sound in this tab; a browser plays none before one has clicked there or pressed a key. */
export function playSound(sound: AlertSound): void {
  const context = new AudioContext();
  const tones = TONES[sound].map(({ pitch: [from, to], at, length, volume }) => {
    const [start, end] = [context.currentTime + at, context.currentTime + at + length];
    const oscillator = new OscillatorNode(context, { type: 'sine', frequency: from });
    const gain = new GainNode(context, { gain: 0 });
    oscillator.frequency.exponentialRampToValueAtTime(to, end);
    gain.gain.setValueAtTime(0, start);
    gain.gain.linearRampToValueAtTime(volume, start + 0.008);
    gain.gain.exponentialRampToValueAtTime(0.0001, end);
    oscillator.connect(gain).connect(context.destination);
    oscillator.start(start);
    oscillator.stop(end);
    return { oscillator, end };
  });
  const last = tones.reduce((a, b) => (b.end > a.end ? b : a));
  last.oscillator.addEventListener('ended', () => void context.close());
}
