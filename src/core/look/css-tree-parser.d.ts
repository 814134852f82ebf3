declare module 'css-tree/parser' {
  import type { CssNode, ParseOptions } from 'css-tree';
  export default function parse(text: string, options?: ParseOptions): CssNode;
}
