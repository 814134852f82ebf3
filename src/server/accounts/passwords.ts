import { newSecret } from '../ids';

/** argon2id, 64 MiB ([threat 3]). */
const HASHING = { memoryCost: 64 * 1024, timeCost: 3, parallelism: 1 } as const;

/** Hashes and checks passwords, two at a time: a flood of sign-ins waits in line instead of taking the memory. */
export interface Passwords {
  hash(password: string): Promise<string>;
  isRight(hash: string, password: string): Promise<boolean>;
  /** The hash that an unknown mail is checked against at sign-in, so that both answers take as long. */
  strawHash(): Promise<string>;
}

const AT_ONCE = 2;

export function makePasswords(): Passwords {
  const waiting: (() => void)[] = [];
  let running = 0;
  const inTurn = async <T>(work: () => Promise<T>): Promise<T> => {
    if (running >= AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
    else running++;
    try {
      return await work();
    } finally {
      const next = waiting.shift();
      if (next === undefined) running--;
      else next();
    }
  };
  const argon2 = () => import('@node-rs/argon2'); // at first use: no visitor waits for it
  const hash = (password: string) => inTurn(async () => (await argon2()).hash(password, HASHING));
  let straw: Promise<string> | null = null;
  return {
    hash,
    isRight: (hashed, password) => inTurn(async () => (await argon2()).verify(hashed, password)),
    strawHash: () => (straw ??= hash(newSecret())),
  };
}
