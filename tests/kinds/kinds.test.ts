import { readFileSync } from 'node:fs';
import { relative } from 'node:path';
import ts from 'typescript';
import { beforeAll, describe, expect, it } from 'vitest';

interface MadeUp {
  /** The closed list that the made-up kind is added to, and after which text. */
  readonly in: string;
  readonly after: string;
  readonly added: string;
}

/** A made-up kind of each. `made-up` stands in its name, so that what the compiler says of it can be told apart. */
const MADE_UP = {
  field: { in: 'src/core/model/form.ts', after: `export const FIELD_KINDS = [`, added: `'made-up-field',` },
  condition: {
    in: 'src/core/model/condition.ts',
    after: `  | { readonly kind: 'campaign'; readonly name: string }`,
    added: `  | { readonly kind: 'made-up-condition' }`,
  },
  'published condition': {
    in: 'src/core/wire/design-file.ts',
    after: `export type WireCondition =`,
    added: `  | readonly ['made-up-published', isNot: 0 | 1]`,
  },
  'page rule': {
    in: 'src/core/model/page-rule.ts',
    after: `export const PAGE_RULE_KINDS = [`,
    added: `'made-up-rule',`,
  },
  'launcher form': {
    in: 'src/core/model/look.ts',
    after: `export const LAUNCHER_FORMS = [`,
    added: `'made-up-form',`,
  },
  behaviour: {
    in: 'src/core/model/moment.ts',
    after: `export const BEHAVIOURS = [`,
    added: `'made-up-behaviour',`,
  },
  moment: { in: 'src/core/model/moment.ts', after: `export const MOMENTS = [`, added: `'made-up-moment',` },
  transition: {
    in: 'src/core/model/transition.ts',
    after: `const TRANSITION_ENDS = {`,
    added: `'made-up-transition': ['passing-by', 'invited'],`,
  },
  reason: {
    in: 'src/core/decide/reason.ts',
    after: `export const REASON_CODES = [`,
    added: `'made-up-reason',`,
  },
} as const satisfies Readonly<Record<string, MadeUp>>;

/** The files that do not compile until they know a new kind: where to go when one is really added. */
const MUST_KNOW: Readonly<Record<keyof typeof MADE_UP, readonly string[]>> = {
  field: ['src/core/forms/check.ts', 'src/widget/panel/form-fields.tsx'],
  condition: [
    'src/core/invitations/check.ts',
    'src/core/rehearse/label-of-transition.ts',
    'src/ui/wording/because.ts',
  ],
  'published condition': [
    'src/core/decide/explain.ts',
    'src/core/invitations/judge.ts',
    'src/core/invitations/known.ts',
    'src/ui/wording/because.ts',
  ],
  'page rule': ['src/core/findings/pages.ts', 'src/core/pages/match.ts', 'src/ui/wording/conditions.ts'],
  'launcher form': ['src/ui/wording/look.ts'],
  behaviour: ['src/ui/design/inspector/AvailabilityRules.tsx', 'src/ui/design/path/availability-rows.ts'],
  moment: [
    'src/core/model/settings.ts',
    'src/core/words/cases.ts',
    'src/ui/design/inspector/LeadsTo.tsx',
    'src/ui/design/visit/use-tried.ts',
    'src/ui/wording/moments.ts',
  ],
  transition: ['src/core/rehearse/label-of-transition.ts', 'src/ui/design/path/whole-path-layout.ts'],
  reason: ['src/ui/wording/because.ts'],
};

/** Functions that answer for every kind by a switch without a default: the compiler names the function, not the kind. */
const SWITCHES = [
  'src/core/decide/lines.ts', // moments
  'src/core/invitations/compile.ts', // conditions
  'src/ui/wording/conditions.ts', // conditions
  'src/ui/wording/transitions.ts', // conditions
];

/** One program with every made-up kind in it, in memory; by file, what the compiler says there. */
function faultsByFile(): ReadonlyMap<string, readonly string[]> {
  const config = ts.getParsedCommandLineOfConfigFile(
    'tsconfig.json',
    { incremental: false },
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: ({ messageText }) => {
        throw new Error(ts.flattenDiagnosticMessageText(messageText, ' '));
      },
    },
  );
  if (config === undefined) throw new Error('Expected tsconfig.json.');
  const sources = config.fileNames.filter((name) => /\/src\//.test(name) && !/\.test\.tsx?$/.test(name));
  const host = ts.createCompilerHost(config.options);
  const read = host.getSourceFile.bind(host);
  host.getSourceFile = (name, options) => {
    const changes = Object.values(MADE_UP).filter((one) => name.endsWith(one.in));
    if (changes.length === 0) return read(name, options);
    const text = changes.reduce(
      (before, { after, added }) => {
        if (!before.includes(after)) throw new Error(`Expected "${after}" in ${name}.`);
        return before.replace(after, `${after}\n${added}`);
      },
      readFileSync(name, 'utf8'),
    );
    return ts.createSourceFile(name, text, options);
  };
  const faults = new Map<string, string[]>();
  for (const { file, start, messageText } of ts
    .createProgram(sources, config.options, host)
    .getSemanticDiagnostics()) {
    const name = relative('.', file?.fileName ?? '');
    // What stands there goes along: of a switch that knows not every kind, the message names none.
    const at = file === undefined ? '' : file.text.slice(start ?? 0, (start ?? 0) + 80);
    faults.set(name, [
      ...(faults.get(name) ?? []),
      `${ts.flattenDiagnosticMessageText(messageText, ' ')} AT ${at}`,
    ]);
  }
  return faults;
}

describe('a new kind', () => {
  let faults: ReadonlyMap<string, readonly string[]> = new Map();
  beforeAll(() => {
    faults = faultsByFile();
  }, 900_000); // only against what never ends
  it.each(Object.keys(MADE_UP) as (keyof typeof MADE_UP)[])(
    'of %s does not compile until every table knows it',
    (kind) => {
      const name = /'(made-up-[a-z]+)'/.exec(MADE_UP[kind].added)?.[1] ?? '';
      const files = [...faults]
        .filter(([, all]) => all.some((one) => one.includes(name)))
        .map(([file]) => file);
      expect(files.sort()).toEqual([...MUST_KNOW[kind]].sort());
    },
  );

  it('and what answers by a switch without a default does not either; nothing else is at fault', () => {
    const rest = [...faults].flatMap(([file, all]) =>
      all.filter((one) => !one.includes('made-up')).map((said) => [file, said]),
    );
    for (const [file, said] of rest) expect(said, file).toContain('Function lacks ending return statement');
    expect([...new Set(rest.map(([file]) => file))].sort()).toEqual(SWITCHES);
  });
});
