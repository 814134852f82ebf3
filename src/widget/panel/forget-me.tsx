/** @jsxImportSource preact */
import { Component, createRef } from 'preact';
import type { FormatText } from '../format-text';

interface ForgetMeProps {
  readonly formatText: FormatText;
  readonly onForget: () => Promise<void>;
}

/** Whoever has left a note or said goodbye may have all of it removed; asked once more before. */
export class ForgetMe extends Component<ForgetMeProps> {
  override readonly state = { isAsking: false, hasFailed: false };
  readonly place = createRef<HTMLDivElement>();

  /** The focus goes to the safe one of what stands there then. */
  turn(isAsking: boolean): void {
    this.setState({ isAsking, hasFailed: false }, () =>
      this.place.current?.querySelector<HTMLElement>('.link, .quiet')?.focus(),
    );
  }

  override render({ formatText, onForget }: ForgetMeProps) {
    const { place } = this;
    const { isAsking, hasFailed } = this.state;
    if (formatText('noteLeft.forgetNo') === '') return null; // a design from before it could be asked for
    if (!isAsking)
      return (
        <div class="forget" ref={place}>
          <button type="button" class="link" data-say="noteLeft.forget" onClick={() => this.turn(true)}>
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
          <button
            type="button"
            class="button quiet"
            data-say="noteLeft.forgetNo"
            onClick={() => this.turn(false)}
          >
            {formatText('noteLeft.forgetNo')}
          </button>
          <button
            type="button"
            class="button send"
            data-say="noteLeft.forget"
            onClick={() => void onForget().catch(() => this.setState({ hasFailed: true }))}
          >
            {formatText('noteLeft.forget')}
          </button>
        </div>
      </div>
    );
  }
}
