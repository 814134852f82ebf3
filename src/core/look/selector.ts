import parse from 'css-tree/parser';

/** Whether a text can be read as CSS selectors, by its syntax; browsers that do not know one of them find nothing by it. */
export function isSelector(text: string): boolean {
  let isSound = text.trim() !== '';
  try {
    parse(text, {
      context: 'selectorList',
      onParseError: () => {
        isSound = false;
      },
    });
  } catch {
    isSound = false; // how the parser says that it cannot read it
  }
  return isSound;
}
