/** @jsxImportSource preact */
import { useEffect, useRef, useState } from 'preact/hooks';
import type { FormatText } from '../format-text';

interface ForgetMeProps {
  readonly formatText: FormatText;
  readonly onForget: () => Promise<void>;
}

/** Whoever has left a note or said goodbye may have all of it removed; asked once more before. */
export function ForgetMe({ formatText, onForget }: ForgetMeProps) {
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
  if (formatText('noteLeft.forgetNo') === '') return null; // a design from before it could be asked for
  if (!isAsking)
    return (
      <div class="forget" ref={place}>
        <button type="button" class="link" data-say="noteLeft.forget" onClick={() => turn(true)}>
          {formatText('noteLeft.forget')}
        </button>
      </div>
    );
  return (
    <div class="forget" ref={place} role="group" aria-labelledby="forget-ask">
      <p id="forget-ask" class="help" data-say="noteLeft.forgetAsk">
        {formatText('noteLeft.forgetAsk')}
      </p>
      {hasFailed ? (
        <p class="error" role="alert">
          {formatText('form.notSent')}
        </p>
      ) : null}
      <div class="row">
        <button type="button" class="button quiet" data-say="noteLeft.forgetNo" onClick={() => turn(false)}>
          {formatText('noteLeft.forgetNo')}
        </button>
        <button
          type="button"
          class="button send"
          data-say="noteLeft.forget"
          onClick={() => void onForget().catch(() => setFailed(true))}
        >
          {formatText('noteLeft.forget')}
        </button>
      </div>
    </div>
  );
}
