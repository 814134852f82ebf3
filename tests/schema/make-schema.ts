import { createGenerator } from 'ts-json-schema-generator';
import { LIMITS } from '../../src/core/limits';
import { SETTINGS } from '../../src/core/model/settings';
import { TEXT_KEYS } from '../../src/core/words/catalogue';

interface Node {
  [name: string]: unknown;
  properties?: Record<string, Node>;
}

/** Which part of the model holds what a setting is stored in. */
const OWNERS: Readonly<Record<string, string>> = {
  timings: 'Timings',
  place: 'Place',
  launcher: 'Launcher',
  look: 'Look',
  talks: 'Talks',
  limits: 'InvitationLimits',
};

const HEX = '^#[0-9a-f]{6}$';

/** JSON Schema (draft-07) of a design, from the model's own types; bounds are those that field and server share. */
export function makeSchema(): string {
  const schema = createGenerator({
    path: 'src/core/model/design.ts',
    tsconfig: 'src/core/tsconfig.json',
    type: 'Design',
    skipTypeCheck: true,
    additionalProperties: false,
  }).createSchema('Design') as { definitions: Record<string, Node> };
  for (const { path, unit, least, most } of Object.values(SETTINGS)) {
    const node = schema.definitions[OWNERS[path[0]] ?? '']?.properties?.[path[1]];
    if (node === undefined)
      throw new Error(`Expected ${path.join('.')} in the schema: name its part in OWNERS.`);
    if (unit !== 'switch') Object.assign(node, { minimum: least, maximum: most });
  }
  const bound = (type: string, name: string, more: object): void => {
    const node = schema.definitions[type]?.properties?.[name];
    if (node === undefined) throw new Error(`Expected ${type}.${name} in the schema.`);
    Object.assign(node, more);
  };
  // The generator does not subtract one union of names from another.
  const ownCase = schema.definitions['OwnCase'];
  if (ownCase?.properties === undefined) throw new Error('Expected OwnCase in the schema.');
  ownCase.properties = { ...ownCase.properties, key: { type: 'string', enum: TEXT_KEYS } };
  ownCase['required'] = Object.keys(ownCase.properties);
  bound('Design', 'siteName', { minLength: 1, maxLength: LIMITS.siteNameChars });
  bound('Design', 'locales', { minItems: 1, maxItems: LIMITS.locales, uniqueItems: true });
  bound('Design', 'widgets', { minItems: 1, maxItems: LIMITS.widgets });
  bound('Look', 'brand', { pattern: HEX });
  for (const name of ['second', 'headerTo']) bound('Look', name, { pattern: HEX });
  for (const name of ['darkest', 'lightest']) bound('HeaderPicture', name, { pattern: HEX });
  for (const type of ['PictureRef', 'HeaderPicture'])
    for (const name of ['once', 'twice']) bound(type, name, { pattern: '^[0-9a-f]{40}$' });
  bound('Look', 'css', { maxLength: LIMITS.ownCssChars });
  for (const node of Object.values(schema.definitions['OwnColours']?.properties ?? {}))
    Object.assign(node, { pattern: `${HEX}|^transparent$` });
  bound('Widget', 'invitations', { maxItems: LIMITS.invitations });
  bound('Widget', 'cases', { maxItems: LIMITS.cases });
  return `${JSON.stringify({ $schema: 'http://json-schema.org/draft-07/schema#', title: 'A Sunny Porch design', ...schema }, null, 2)}\n`;
}
