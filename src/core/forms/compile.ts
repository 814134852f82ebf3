import type { Field } from '../model/form';
import type { Locale } from '../model/units';
import type { WireField } from '../wire/form-file';

/** A field as it is published in one locale; `resolve` gives the owner's words ([T2]). */
export function toWireField(
  field: Field,
  resolve: (texts: Readonly<Record<Locale, string>>) => string,
): WireField {
  const {
    id,
    kind,
    label,
    own,
    isRequired,
    least,
    most,
    options,
    asButtons,
    shownIf,
    isKept,
    link,
    attribute,
  } = field;
  return {
    id,
    kind,
    isRequired,
    ...(label === null ? {} : { label }),
    ...(own === null ? {} : { words: resolve(own.label), ...given('help', resolve(own.help)) }),
    ...(least === null ? {} : { least }),
    ...(most === null ? {} : { most }),
    ...(options.length === 0
      ? {}
      : { options: options.map((one) => [one.value, resolve(one.label)] as const) }),
    ...(asButtons ? { asButtons } : {}),
    ...(shownIf === null ? {} : { shownIf: [shownIf.field, shownIf.is] as const }),
    ...(isKept ? { isKept } : {}),
    ...(link === null ? {} : { link }),
    ...(attribute === null ? {} : { attribute }),
  };
}

function given(name: 'help', text: string): { help?: string } {
  return text === '' ? {} : { [name]: text };
}
