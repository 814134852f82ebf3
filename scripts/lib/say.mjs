/** Says one sentence and ends. */
export function stop(sentence) {
  console.error(sentence);
  process.exit(1);
}
