import sharp from 'sharp';
import { drawPicture, drawTwice } from './draw-picture';
import type { DrawOrder } from './drawer';

/** The process that draws one picture, says what came of it, and ends. */
function main(): void {
  sharp.concurrency(1);
  sharp.cache(false);
  process.once('message', (order: DrawOrder) => {
    void drawn(order).then((said) => process.send?.(said, () => process.exit(0)));
  });
}

function drawn(order: DrawOrder): Promise<unknown> {
  const sent = Buffer.from(order.sent);
  return order.as === 'page' ? drawPicture(sent, order.size) : drawTwice(sent, order.fit);
}

main();
