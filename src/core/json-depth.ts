/** Deepest nesting of brackets outside of strings; a scan, so that no depth can overflow a stack. */
export function depthOf(json: string): number {
  let depth = 0;
  let deepest = 0;
  let isInString = false;
  for (let at = 0; at < json.length; at++) {
    const character = json[at];
    if (isInString) {
      if (character === '\\') at++;
      else if (character === '"') isInString = false;
    } else if (character === '"') isInString = true;
    else if (character === '{' || character === '[') deepest = Math.max(deepest, ++depth);
    else if (character === '}' || character === ']') depth--;
  }
  return deepest;
}
