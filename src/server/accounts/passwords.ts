import { hash, verify } from '@node-rs/argon2';

/** argon2id, 64 MiB ([threat 3]). */
const HASHING = { memoryCost: 64 * 1024, timeCost: 3, parallelism: 1 } as const;

/** Hashes and checks passwords, two at a time: a flood of sign-ins waits in line instead of taking the memory. */
export interface Passwords {
  hash(password: string): Promise<string>;
  isRight(hash: string, password: string): Promise<boolean>;
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
  return {
    hash: (password) => inTurn(() => hash(password, HASHING)),
    isRight: (hashed, password) => inTurn(() => verify(hashed, password)),
  };
}
