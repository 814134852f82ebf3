/** Deepest nesting of brackets outside of strings; a scan, so that no depth can overflow a stack. */
export function depthOf(json: string): number {
  let depth = 0;
  let deepest = 0;
  let isInString = false;
  for (let at = 0; at < json.length; at++) {
    const sign = json[at];
    if (isInString) {
      if (sign === '\\') at++;
      else if (sign === '"') isInString = false;
    } else if (sign === '"') isInString = true;
    else if (sign === '{' || sign === '[') deepest = Math.max(deepest, ++depth);
    else if (sign === '}' || sign === ']') depth--;
  }
  return deepest;
}
