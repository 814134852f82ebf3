import { isRecord } from '../../core/model/json';
import { cleanLine, cleanText } from '../../core/words/clean';
import { Transform } from './validators';

/** [threat 8] The field is one line, without control and direction signs, before it is judged. */
export const CleanLine = cleaned(cleanLine);

/** [threat 8] The field loses control and direction signs, before it is judged; its lines stay. Lists and records do so within. */
export const CleanText = cleaned(cleanText);

function cleaned(clean: (text: string) => string): PropertyDecorator {
  const within = (value: unknown): unknown => {
    if (typeof value === 'string') return clean(value);
    if (Array.isArray(value)) return value.map(within);
    if (!isRecord(value)) return value;
    return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, within(one)]));
  };
  return Transform(({ value }: { value: unknown }) => within(value));
}
