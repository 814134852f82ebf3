/** @jsxImportSource preact */
import { useEffect, useRef, useState } from 'preact/hooks';
import type { Voice } from '../voice';

interface ForgetMeProps {
  readonly voice: Voice;
  readonly onForget: () => Promise<void>;
}

/** Whoever has left a note or said goodbye may have all of it removed; asked once more before. */
export function ForgetMe({ voice, onForget }: ForgetMeProps) {
  const [isAsking, setAsking] = useState(false);
  const [hasFailed, setFailed] = useState(false);
  const place = useRef<HTMLDivElement>(null);
  const turned = useRef(false);
  useEffect(() => {
    if (turned.current) place.current?.querySelector<HTMLElement>('.link, .quiet')?.focus(); // the safe one of the two
    turned.current = false;
  }, [isAsking]);
  const turn = (asks: boolean): void => {
    turned.current = true;
    setAsking(asks);
    setFailed(false);
  };
  if (voice('noteLeft.forgetNo') === '') return null; // a design from before it could be asked for
  if (!isAsking)
    return (
      <div class="forget" ref={place}>
        <button type="button" class="link" data-say="noteLeft.forget" onClick={() => turn(true)}>
          {voice('noteLeft.forget')}
        </button>
      </div>
    );
  return (
    <div class="forget" ref={place} role="group" aria-labelledby="forget-ask">
      <p id="forget-ask" class="help" data-say="noteLeft.forgetAsk">
        {voice('noteLeft.forgetAsk')}
      </p>
      {hasFailed ? (
        <p class="error" role="alert">
          {voice('form.notSent')}
        </p>
      ) : null}
      <div class="row">
        <button type="button" class="button quiet" data-say="noteLeft.forgetNo" onClick={() => turn(false)}>
          {voice('noteLeft.forgetNo')}
        </button>
        <button
          type="button"
          class="button send"
          data-say="noteLeft.forget"
          onClick={() => void onForget().catch(() => setFailed(true))}
        >
          {voice('noteLeft.forget')}
        </button>
      </div>
    </div>
  );
}
